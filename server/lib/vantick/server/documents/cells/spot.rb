# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Cells
        # A dial, what somebody said it shows, what may have gone wrong to tick, and a line for the right time.
        class Spot < Base
          LABEL = 18
          SIZE = 11
          # Two lines of a cause, at most.
          LINE = SIZE * 1.35
          CAUSE = (2 * LINE) + 4
          CAUSES = LABEL + (Core::Choosing::Mistakes::OPTIONS * CAUSE)

          def height = (2 * reach) + CAUSES + Ink::WORDS_HEIGHT + 8
          def width = Ink::WORDS_WIDTH + 12

          private

          def exercise(item, place, ink)
            dial(item, place.page, [place.x + 20 + reach, place.y + reach]).draw(item.time.hands)
            statement(item, place)
            causes(item, place, ink)
            right(place, ink, place.y + height - 4)
          end

          def statement(item, place)
            words = format(Layout::WORDS[:said], words: item.said.words(sheet.conventions))
            left = place.x + 28 + (2 * reach)
            place.page.paragraph(words, left, place.y + reach - 20, place.right - left, size: 12)
          end

          def causes(item, place, ink)
            top = place.y + (2 * reach) + LABEL - 2
            place.page.text(Layout::WORDS[:wrong], place.x, top, size: SIZE)
            options = Core::Choosing::Mistakes.options(item.step || sheet.step, item.misreading, item.time, place.at)
            options.each_with_index do |option, at|
              y = top + LABEL + (at * CAUSE)
              ink.tick(place.at, option.id.to_s, place.x, y)
              place.page.paragraph(option.texts_in(sheet.conventions)[:they], place.x + Ink::TICK + 6, y, place.width - Ink::TICK - 8,
                                   size: SIZE)
            end
          end

          def right(place, ink, y)
            label = Layout::WORDS[:right]
            place.page.text(label, place.x, y - 2, size: SIZE)
            used = Letters.of(false).width(label, SIZE) + 4
            ink.words(place.at, place.x + used, y, place.width - used)
          end
        end
      end
    end
  end
end
