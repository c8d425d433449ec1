# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # A time as said in words: a count of minutes, a side and the hour named with it.
      # It keeps what was said apart from the time it means: "forty-five past seven" and "quarter to
      # eight" are two sayings of one time.
      class SpokenTime
        SIDES = %i[oclock past to].freeze
        QUARTER = 15
        HALF = 30

        # @return [Integer] minutes counted, 0..59; 0 only with `:oclock`
        attr_reader :count
        # @return [Symbol] one of {SIDES}
        attr_reader :side
        # @return [Integer] the numeral named, 1..12
        attr_reader :hour

        # @param time [DialTime]
        # @return [SpokenTime] what is usually said: past up to half past, then to
        def self.usual(time)
          return new(time.minutes_to, :to, time.hour_ahead) if time.side == :to

          past(time)
        end

        # @param time [DialTime]
        # @return [SpokenTime] every minute counted past the hour, "forty-five past seven"
        def self.past(time) = new(time.minutes_past, :past, time.hour_passed)

        # @param count [Integer] 0..59; a count of 0 is said "o'clock" whatever the side
        # @param side [Symbol] one of {SIDES}
        # @param hour [Integer] 1..12
        # @raise [InvalidTime]
        def initialize(count, side, hour)
          valid = (0..59).cover?(count) && SIDES.include?(side) && (1..12).cover?(hour)
          raise InvalidTime, "#{count} #{side} #{hour}" unless valid

          @count = count
          @side = count.zero? ? :oclock : side
          @hour = hour
          freeze
        end

        # @return [DialTime] the time it means
        def time = Dial::DialTime.from_index((hour * 60) + (side == :to ? -count : count))

        # @return [Boolean] whether this is what is usually said for its time
        def usual? = self == SpokenTime.usual(time)

        # @return [String] such as "quarter to eight"; "thirty-five to eight" for a count nobody says
        # @param conventions [Conventions]
        def words(conventions = Conventions.default) = Phrase.words(self, conventions)
        alias to_s words

        # @return [String]
        def inspect = "#<SpokenTime #{words}>"

        def ==(other)
          other.is_a?(SpokenTime) && count == other.count && side == other.side && hour == other.hour
        end
        alias eql? ==

        def hash = [SpokenTime, count, side, hour].hash
      end
    end
  end
end
