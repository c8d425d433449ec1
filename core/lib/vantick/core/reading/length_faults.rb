# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # What goes wrong between numerals and the minutes that the long hand takes.
      module LengthFaults
        extend Faults

        # Where the way round is not the same in both directions.
        ONE_WAY = ->(time) { ![0, 30].include?(time.minutes_between_numerals) }
        FROM_A_NUMERAL = ->(time) { !time.hour.zero? }
        ON = ->(time) { time.minutes_between_numerals.positive? }

        class << self
          # @return [Hash{Symbol => Hash}] by misreading, its faults by chain
          def rules
            { numeral_as_minutes: length(Faults::ANY) { |draft| numerals(draft) },
              fives_from_one: length(Faults::ANY) { |draft| [draft.with(fives: draft.fives + 5)] },
              fives_one_short: length(ON) { |draft| [draft.with(fives: draft.fives - 5)] },
              start_left_out: fault(:numerals_to_length, :way, FROM_A_NUMERAL) { |draft| [draft.with(minute: draft.time.minute)] },
              counts_wrong_way: length(ONE_WAY) { |draft| [draft.with(fives: 60 - draft.fives)] } }
          end

          private

          def length(...) = fault(:numerals_to_length, :fives, ...)

          # The numeral itself, or the numerals on the way.
          def numerals(draft)
            passed = draft.time.hour.zero? ? [] : [draft.fives / 5]
            [draft.time.minute_numeral, *passed].map { |count| draft.with(fives: count) }
          end
        end
      end
    end
  end
end
