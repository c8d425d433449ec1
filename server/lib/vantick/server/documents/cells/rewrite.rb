# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Cells
        # From digits to words, or the other way round.
        class Rewrite < Base
          def height = Ink::WORDS_HEIGHT + 8
          def width = NUMBER + 170 + Ink::WORDS_WIDTH
          def columns = 1

          private

          def exercise(item, place, ink)
            left = place.right - (boxes ? Ink.digits_width(4) : Ink::WORDS_WIDTH)
            prompt(item, place, left - place.x - NUMBER - 12, 24)
            return ink.digits(place.at, place.right - (Ink.digits_width(4) / 2), place.y, many: 4) if boxes

            ink.words(place.at, left, place.y + Ink::WORDS_HEIGHT - 4, Ink::WORDS_WIDTH)
          end
        end
      end
    end
  end
end
