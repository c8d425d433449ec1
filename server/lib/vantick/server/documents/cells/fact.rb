# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Cells
        # Numerals and halves of the day.
        class Fact < Base
          # As the day has them.
          HALVES = %i[am noon pm midnight].freeze

          def height = boxes ? Ink::DIGIT[1] + 10 : 26
          def width = boxes ? NUMBER + 130 + Ink.digits_width(2) : NUMBER + 210 + ticks_width
          def columns = boxes ? 2 : 1

          private

          def halves = HALVES.to_h { |half| [half.to_s, Core::Wording::PartReader.day_half_name(half)] }

          def ticks_width = halves.values.sum { |label| Ink.tick_width(label) }

          def exercise(item, place, ink)
            used = boxes ? Ink.digits_width(2) : ticks_width
            prompt(item, place, place.width - NUMBER - used - 8, boxes ? 20 : 11, size: 12, bold: false)
            return ink.digits(place.at, place.right - (used / 2), place.y, many: 2) if boxes

            ink.ticks(place.at, place.right - used, place.y + 11, halves)
          end
        end
      end
    end
  end
end
