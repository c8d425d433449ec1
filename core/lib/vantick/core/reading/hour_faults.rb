# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # More ways in which the hour is read wrongly. Which hour an hour hand between two numerals tells is what children find
      # hardest (Boulton-Lewis, Wilss and Mutch, "Analysis of primary school children's abilities and strategies for reading and
      # recording time from analogue and digital clocks", Mathematics Education Research Journal 9, 1997; from memory).
      module HourFaults
        extend Faults

        # In digits, and of the hour hand alone.
        PLAIN = %i[dial_to_digits hour_hand_to_hour].freeze
        MINUTES = ->(time) { time.minute.positive? }
        AFTER_TWELVE = ->(time) { time.twelve_hour? && time.minute.positive? }
        PAST = ->(time) { time.side == :past }

        class << self
          # @return [Hash{Symbol => Hash}] by misreading, its faults by chain
          def rules
            ahead = ->(draft) { [draft.with(hour: draft.time.hour_ahead)] }
            { next_hour_always: { **fault(PLAIN, :hour, MINUTES, &ahead), **words(:hour, PAST, &ahead) },
              smaller_of_two: { **fault(PLAIN, :hour, AFTER_TWELVE, &ahead),
                                **words(:hour, ->(time) { AFTER_TWELVE[time] && PAST[time] }, &ahead) },
              hour_from_minute_hand: from_minute_hand }
          end

          private

          def words(...) = fault(:dial_to_words, ...)

          def from_minute_hand
            numeral = ->(draft) { [draft.with(hour: draft.time.minute_numeral)] }
            { **fault(:dial_to_digits, :hour, Faults::ANY, &numeral), **words(:side, Faults::ANY, &numeral) }
          end
        end
      end
    end
  end
end
