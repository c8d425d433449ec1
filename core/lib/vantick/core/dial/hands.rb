# frozen_string_literal: true

module Vantick
  module Core
    module Dial
      # Two hands as drawn: any two angles, whether or not they are a time together.
      class Hands
        # @return [Numeric] degrees clockwise from the twelve, 0 up to 360
        attr_reader :hour_degrees, :minute_degrees

        # @param one [Numeric] degrees
        # @param other [Numeric] degrees
        # @return [Numeric] how far the one is from the other, -180 up to 180, positive clockwise
        def self.apart(one, other) = ((one - other + 180) % 360) - 180

        # @param hour_degrees [Numeric] any angle in degrees
        # @param minute_degrees [Numeric] any angle in degrees
        def initialize(hour_degrees, minute_degrees)
          @hour_degrees = hour_degrees % 360
          @minute_degrees = minute_degrees % 360
          freeze
        end

        # @return [Numeric] the smaller angle between the hands, 0..180 degrees
        def gap_degrees = Hands.apart(hour_degrees, minute_degrees).abs

        # @return [Numeric] how far the hour hand stands from where the minute hand says it belongs in
        #   the nearest hour: -15..15 degrees, positive when it has gone too far
        def hour_hand_offset_degrees
          beyond = (hour_degrees - minute_degrees.quo(12)) % 30
          beyond > 15 ? beyond - 30 : beyond
        end

        # @return [Hands] the same picture with the hands taken for each other
        def swapped = Hands.new(minute_degrees, hour_degrees)

        # @return [String] such as "hour=232.5 minute=270"
        def to_s = format("hour=%<hour>g minute=%<minute>g", hour: hour_degrees, minute: minute_degrees)

        def ==(other)
          other.is_a?(Hands) && hour_degrees == other.hour_degrees && minute_degrees == other.minute_degrees
        end
        alias eql? ==

        def hash = [Hands, hour_degrees, minute_degrees].hash
      end
    end
  end
end
