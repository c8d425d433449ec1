# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Games
        # Cards that call each other round the class: a clock to read, and the time that the next child has.
        class LoopCards < Layout
          COLUMNS = 2
          CARD = 158
          DIAL = Cells::Base::DIAL
          # Letters of a time that is asked for.
          SIZE = 16
          TEXT = WORDS[:games]
          # Cards are small, and who plays has met the clocks: minute numbers stay off.
          LOOK = { minute_numbers: "none" }.freeze

          # @return [Integer]
          def per_page = COLUMNS * ((room - 94) / height).floor

          private

          def height = CARD

          def name(*) = nil

          # The last card asks for the first.
          def version_pages(version)
            times = version.items.map(&:time)
            times.zip(times.rotate).each_slice(per_page).map { |some| page_of(version, some) }
          end

          def page_of(version, pairs)
            page = new_page
            top = head(page, version)
            cards(page, pairs, top, columns: COLUMNS, height:) { |(time, following), place| card(page, time, following, place) }
            page
          end

          def card(page, time, following, (x, y, width))
            page.text(TEXT[:have], x + 12, y + 20, size: 13)
            Dial.new(page, [x + 80, y + 90], DIAL, **sheet.look, **LOOK).draw(time.hands)
            page.text(TEXT[:who], x + 152, y + 20, size: 13)
            draw_question(page, following, x + 152, y + 56, width - 160)
          end

          # The time in digits, in words, or both.
          def draw_question(page, time, x, y, width)
            lines = { "digits" => [digits(time)], "words" => [words(time)], "both" => [words(time), digits(time)] }.fetch(sheet.cards)
            lines.reduce(y) { |below, text| page.paragraph(text, x, below, width, size: SIZE, bold: true) + 4 }
          end
        end
      end
    end
  end
end
