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

        # Small and quiet, so that a pair can be looked up and nothing is given away: clocks have numbers, the others letters.
        MARK = 10
        LETTERS = ("a".."z").to_a.freeze

        # The key's rows.
        KEY_ROW = 22

        # @return [Integer]
        def per_page = COLUMNS * ((room - 94) / CARD).floor

        # For the teacher, and for children who look it up: which cards belong together.
        # @return [Page]
        def key
          page = new_page
          items = sheet.versions.first.items
          page.text(format(WORDS[:games][:key][:title], title: sheet.title), MARGIN, MARGIN + 14, size: 17, bold: true)
          items.each_with_index { |item, at| key_row(page, item.time, at + 1, MARGIN + 56 + (at * KEY_ROW)) }
          page
        end

        private

        def key_row(page, time, number, y)
          letters = partners(sheet.versions.first.items).filter_map { |_, other, letter| letter if other == time }
          page.text("#{number}.", MARGIN + 20, y, size: 12, align: :right, color: Page::QUIET)
          page.text(letters.join(", "), MARGIN + 40, y, size: 12, bold: true)
          page.text(digits(time), MARGIN + 90, y, size: 12, bold: true)
          page.text(words(time), MARGIN + 140, y, size: 11)
        end

        # In their own order, so that no card lies beside its partner; each with its letter.
        def partners(items)
          turned = items.map(&:time).sort_by { |time| [time.minute, time.hour] }
          PARTNERS.fetch(sheet.cards).product(turned).zip(LETTERS).map(&:flatten)
        end

        def version_pages(version)
          dials = version.items.each_with_index.map { |item, at| [:dial, item.time, (at + 1).to_s] }
          (dials + partners(version.items)).each_slice(per_page).map { |some| page_of(version, some) }
        end

        def page_of(version, contents)
          page = new_page
          top = head(page, version)
          cards(page, contents, top, columns: COLUMNS, height: CARD) { |(kind, time, mark), place| card(page, kind, time, mark, place) }
          page
        end

        def name(*) = nil

        def card(page, kind, time, mark, place)
          x, y, width = place
          page.text(mark, x + 8, y + CARD - 8, size: MARK, color: Page::QUIET)
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
