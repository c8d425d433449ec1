# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Cards to cut out: a dial on one, its digits on another, in an order that gives nothing away.
      class Cards < Layout
        COLUMNS = 3
        CARD = 170

        private

        def version_pages(version)
          dials = version.items.map { |item| [:dial, item.time] }
          others = version.items.map { |item| [:digits, item.time] }
          # Digits in their own order, so that no card lies beside its partner.
          cards = dials + others.sort_by { |_, time| [time.minute, time.hour] }
          per_page = COLUMNS * ((Page::SIZES.fetch(sheet.paper)[1] - 150) / CARD).floor
          cards.each_slice(per_page).map { |some| page_of(version, some) }
        end

        def page_of(version, cards)
          page = new_page
          top = head(page, version)
          width = (page.width - (2 * MARGIN)) / COLUMNS
          cards.each_with_index do |(kind, time), at|
            row, column = at.divmod(COLUMNS)
            card(page, kind, time, MARGIN + (column * width), top + (row * CARD), width)
          end
          page
        end

        def card(page, kind, time, x, y, width) # rubocop:disable Metrics/ParameterLists
          page.box(x, y, width, CARD, dash: 4)
          middle = [x + (width / 2), y + (CARD / 2)]
          return Dial.new(page, middle, 66, **sheet.look).draw(time.hands) if kind == :dial

          page.text(digits(time), middle[0], middle[1] + 12, size: 34, bold: true, align: :center)
        end
      end
    end
  end
end
