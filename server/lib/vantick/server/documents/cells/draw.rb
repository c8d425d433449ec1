# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Cells
        # Hands to draw.
        class Draw < Base
          ASKED = 22

          def height = ASKED + (2 * reach) + GAP
          def width = [2 * reach, NUMBER + 200].max

          private

          def exercise(item, place, _ink)
            prompt(item, place, place.width - NUMBER, 14)
            center = [place.middle, place.y + ASKED + reach]
            dial(item, place.page, center).draw(nil)
            inside = radius * Dial::INSIDE
            place.page.field(:hands, place.at, nil, *center.map { |middle| middle - inside }, 2 * inside, 2 * inside)
          end
        end
      end
    end
  end
end
