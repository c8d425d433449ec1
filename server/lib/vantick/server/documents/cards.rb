# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Cards to cut out: a dial on one, its digits or its words on another, in an order that gives nothing away. A sign on each tells
      # this set from others.
      class Cards < Layout
        COLUMNS = 3
        # Four rows fit a page of Letter, too.
        CARD = 160
        # What is matched with the dials.
        PARTNERS = { "digits" => %i[digits], "words" => %i[words], "both" => %i[digits words] }.freeze

        # @return [Integer]
        def per_page = COLUMNS * ((room - 94) / CARD).floor

        private

        def version_pages(version)
          times = version.items.map(&:time)
          dials = times.map { |time| [:dial, time] }
          # In their own order, so that no card lies beside its partner.
          turned = times.sort_by { |time| [time.minute, time.hour] }
          others = PARTNERS.fetch(sheet.cards).product(turned)
          (dials + others).each_slice(per_page).map { |some| page_of(version, some) }
        end

        def page_of(version, contents)
          page = new_page
          top = head(page, version)
          cards(page, contents, top, columns: COLUMNS, height: CARD) { |(kind, time), place| card(page, kind, time, place) }
          page
        end

        def name(*) = nil

        def card(page, kind, time, place)
          x, y, width = place
          middle = [x + (width / 2), y + (CARD / 2)]
          return Dial.new(page, middle, Cells::Base::DIAL, **sheet.look).draw(time.hands) if kind == :dial
          return page.text(digits(time), middle[0], middle[1] + 12, size: 34, bold: true, align: :center) if kind == :digits

          lines = Letters.of(true).lines(words(time), width - 24, 19)
          lines.each_with_index do |line, at|
            page.text(line, middle[0], middle[1] + 6 + ((at - ((lines.length - 1) / 2.0)) * 26), size: 19, bold: true, align: :center)
          end
        end
      end
    end
  end
end
