# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      module Cells
        # A dial to read.
        class Read < Base
          HANDS = { hour_hand: "hour", minute_hand: "minute" }.freeze

          def height = (2 * reach) + answer_height
          def width = [2 * reach, in_digits? ? Ink.digits_width(4) : Ink::WORDS_WIDTH].max

          # A baseline in digits is one page of twelve.
          def columns = sheet.kind.id == :baseline && in_digits? ? 3 : super

          private

          def in_digits? = boxes && !sheet.both?

          def exercise(item, place, ink)
            dial(item, place.page, [place.middle, place.y + reach], **bare).draw(item.time.hands)
            answer(place, ink, place.y + (2 * reach))
          end

          def bare
            return { hands: HANDS.fetch(sheet.task.sees, "both") } unless sheet.task.sees == :bare_dial

            { marks: "none", minute_numbers: "none", numerals: sheet.look[:numerals] == "none" ? "none" : "quarters" }
          end
        end
      end
    end
  end
end
