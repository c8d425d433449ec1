# frozen_string_literal: true

module Vantick
  module Core
    # How near hands that were set are to where they belong.
    class Placing
      # Degrees a hand may be off (judgement: close to what a finger or a pencil can do).
      HOUR_DEGREES = 7.5
      MINUTE_DEGREES = 6
      SINGLE_MINUTE_DEGREES = 3

      # @param time [DialTime] what was to be set
      def initialize(time)
        @time = time
        @minute_degrees = time.ticks.zero? ? MINUTE_DEGREES : SINGLE_MINUTE_DEGREES
        freeze
      end

      # @param hands [Hands]
      # @return [Boolean] whether both are where they belong
      def right?(hands) = near?(hands, @time.hands)

      # @param hands [Hands] as set
      # @param wanted [Hands]
      # @return [Boolean] whether both are near enough
      def near?(hands, wanted)
        Hands.apart(hands.hour_degrees, wanted.hour_degrees).abs <= HOUR_DEGREES &&
          Hands.apart(hands.minute_degrees, wanted.minute_degrees).abs <= @minute_degrees
      end

      # @param hands [Hands]
      # @return [Boolean] whether the minute hand is right and the hour hand is in the right gap
      def right_gap?(hands)
        Hands.apart(hands.minute_degrees, @time.minute_hand_degrees).abs <= @minute_degrees &&
          ((hands.hour_degrees - (@time.hour * 30)) % 360) <= 30
      end

      # @param hands [Hands]
      # @return [Float] degrees that the hour hand is off, positive when too far round
      def hour_offset(hands) = Hands.apart(hands.hour_degrees, @time.hour_hand_degrees).to_f
    end
  end
end
