# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Games
        # A clock on the left, another time on the right; laid clock to time they close to a ring.
        class Dominoes < LoopCards
          CARD = 134

          private

          def height = CARD

          def card(page, time, following, (x, y, width))
            half = width / 2
            page.line([x + half, y + 10], [x + half, y + height - 10], width: 1.4)
            Dial.new(page, [x + (half / 2), y + (height / 2)], DIAL, **sheet.look, **LOOK).draw(time.hands)
            draw_question(page, following, x + half + 12, y + 42, half - 20)
          end
        end
      end
    end
  end
end
