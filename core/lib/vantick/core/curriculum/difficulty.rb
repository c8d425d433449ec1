# frozen_string_literal: true

module Vantick
  module Core
    module Curriculum
      # How hard a time is to read, 0 to 1. Judgement; the order of minute classes follows research on
      # clock reading (Friedman and Laycock, Child Development 60, 1989; from memory).
      module Difficulty
        MINUTES = { oclock: 0, half_past: 15, quarter_past: 25, fives_past: 35, quarter_to: 40,
                    fives_to: 55, minutes_past: 65, minutes_to: 85 }.freeze
        LATE_FROM_MINUTE = 45
        EXTRA = { late: 10, twelve_hour: 10, hidden: 10, swappable: 5 }.freeze
        # How near the swapped hands come to a time that could be (judgement).
        SWAPPABLE_DEGREES = 5

        class << self
          # @param time [DialTime]
          # @return [Float] 0.0..1.0
          def of(time)
            extras = EXTRA.sum { |name, points| send(:"#{name}?", time) ? points : 0 }
            [MINUTES.fetch(minute_class(time)) + extras, 100].min / 100.0
          end

          # @param time [DialTime]
          # @return [Symbol] one of {MINUTES}' keys
          def minute_class(time)
            { 0 => :oclock, 15 => :quarter_past, 30 => :half_past, 45 => :quarter_to }.fetch(time.minute) do
              :"#{time.ticks.zero? ? 'fives' : 'minutes'}_#{time.side}"
            end
          end

          private

          def late?(time) = time.minute >= LATE_FROM_MINUTE

          def twelve_hour?(time) = time.twelve_hour?

          def hidden?(time) = time.hidden_hand?

          def swappable?(time) = time.hands.swapped.hour_hand_offset_degrees.abs <= SWAPPABLE_DEGREES
        end
      end
    end
  end
end
