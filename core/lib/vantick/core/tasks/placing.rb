# frozen_string_literal: true

module Vantick
  module Core
    module Tasks
      # How near hands that were set are to where they belong.
      class Placing
        # Degrees a hand may be off (judgement: close to what a finger or a pencil can do).
        HOUR_DEGREES = 7.5
        MINUTE_DEGREES = 6
        SINGLE_MINUTE_DEGREES = 3
        # Degrees from one mark to the next.
        MARK = 6

        # @param time [DialTime] what was to be set
        def initialize(time)
          @time = time
          @minute_degrees = time.ticks.zero? ? MINUTE_DEGREES : SINGLE_MINUTE_DEGREES
          freeze
        end

        # Degrees within which an hour hand is on a numeral, and from which on it does not belong there (judgement: whoever
        # leaves it on the numeral at quarter past has not moved it).
        ON_NUMERAL = 2
        OFF_NUMERAL = HOUR_DEGREES

        # @param hands [Hands]
        # @return [Boolean] whether both are where they belong
        def right?(hands) = near?(hands, @time.hands) && !left_on_numeral?(hands)

        # @param hands [Hands] as set
        # @param wanted [Hands]
        # @return [Boolean] whether both are near enough
        def near?(hands, wanted)
          Dial::Hands.apart(hands.hour_degrees, wanted.hour_degrees).abs <= HOUR_DEGREES &&
            Dial::Hands.apart(hands.minute_degrees, wanted.minute_degrees).abs <= @minute_degrees
        end

        # @param hands [Hands]
        # @return [Boolean] whether the minute hand is right and the hour hand is in the right gap; at o'clock, where there is
        #   none, nearer to its numeral than to any other
        def right_gap?(hands)
          return false unless minute_right?(hands)
          return hour_offset(hands).abs < 15 if @time.minute.zero?

          ((hands.hour_degrees - (@time.hour * 30)) % 360) <= 30
        end

        # @param hands [Hands]
        # @return [Boolean]
        def minute_right?(hands) = Dial::Hands.apart(hands.minute_degrees, @time.minute_hand_degrees).abs <= @minute_degrees

        # A long hand that is one mark off is a slip of the hand, however near it lies to what a misreading would set.
        # @param hands [Hands]
        # @param wanted [Hands]
        # @return [Boolean] whether the hands are nearer to those than to where they belong, or the long hand further off than a mark
        def nearer?(hands, wanted)
          from_right = Dial::Hands.apart(hands.minute_degrees, @time.minute_hand_degrees).abs
          from_right <= @minute_degrees || from_right > MARK || far(hands, wanted) < far(hands, @time.hands)
        end

        # @param hands [Hands]
        # @return [Float] degrees that the hour hand is off, positive when too far round
        def hour_offset(hands) = Dial::Hands.apart(hands.hour_degrees, @time.hour_hand_degrees).to_f

        private

        # Degrees of both hands together.
        def far(hands, wanted)
          Dial::Hands.apart(hands.hour_degrees,
                            wanted.hour_degrees).abs + Dial::Hands.apart(hands.minute_degrees, wanted.minute_degrees).abs
        end

        # An hour hand that stands on a numeral where it should stand between two.
        def left_on_numeral?(hands)
          from_numeral = [@time.hour_hand_degrees % 30, 30 - (@time.hour_hand_degrees % 30)].min
          on = [hands.hour_degrees % 30, 30 - (hands.hour_degrees % 30)].min
          from_numeral >= OFF_NUMERAL && on <= ON_NUMERAL
        end
      end
    end
  end
end
