# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Cells
        # A dial, and what somebody said it shows.
        class Spot < Base
          LABEL = 18
          PART = LABEL + Ink::WORDS_HEIGHT + 4

          def height = (2 * reach) + (2 * PART)
          def width = Ink::WORDS_WIDTH + 12

          private

          def exercise(item, place, ink)
            dial(place.page, [place.x + 20 + reach, place.y + reach]).draw(item.time.hands)
            said(item, place)
            %i[wrong right].each_with_index { |label, at| line(place, ink, label, place.y + (2 * reach) + (at * PART)) }
          end

          def said(item, place)
            said = format(Layout::WORDS[:said], words: item.said.words(sheet.conventions))
            left = place.x + 28 + (2 * reach)
            place.page.paragraph(said, left, place.y + reach - 20, place.right - left, size: 12)
          end

          def line(place, ink, label, y)
            place.page.text(Layout::WORDS[label], place.x, y + LABEL - 2, size: 11)
            ink.words(place.at, place.x, y + PART - 2, place.width, part: label)
          end
        end
      end
    end
  end
end
