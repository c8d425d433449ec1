# frozen_string_literal: true

module Vantick
  module Core
    module Dial
      # A whole minute that a dial can show: 720 of them, 12:00 first.
      class DialTime
        include Comparable

        # Minutes in one round of the hour hand.
        ROUND = 720
        # Below this angle one hand hides the other (judgement).
        HIDDEN_BELOW_DEGREES = 15
        WRITTEN = /\A(\d{1,2}):(\d{2})\z/

        # @return [Integer] minutes since twelve, 0..719
        attr_reader :index

        class << self
          # @return [Array<DialTime>] all 720, in order
          def all = @all || Facts::Once.make { @all ||= Array.new(ROUND) { |index| new(index) }.freeze }

          # @return [Array<DialTime>] those with the minute hand on a numeral, in order
          def fives = @fives ||= all.select { |time| time.ticks.zero? }.freeze

          # @return [Array<DialTime>] a numeral under each hand, two numerals or one alone; those of 12 stand for one alone
          def between_numerals
            @between_numerals ||= fives.select { |time| time.twelve_hour? || time.minutes_between_numerals.positive? }.freeze
          end

          # @param index [Integer] minutes since twelve; any whole number, taken round the dial
          # @return [DialTime]
          def from_index(index) = all[index % ROUND]

          # @param hour [Integer] 0..23, as written; 0 and 12 are the same place on a dial
          # @param minute [Integer] 0..59
          # @return [DialTime]
          # @raise [InvalidTime]
          def at(hour, minute)
            raise InvalidTime, "#{hour}:#{minute}" unless (0..23).cover?(hour) && (0..59).cover?(minute)

            from_index((hour * 60) + minute)
          end

          # @param text [String] such as "7:45", "07:45" or "19:45"
          # @return [DialTime]
          # @raise [InvalidTime]
          def parse(text)
            hour, minute = WRITTEN.match(text.to_s.scrub("?").strip)&.captures&.map(&:to_i)
            raise InvalidTime, text unless hour && hour < 24 && minute < 60

            at(hour, minute)
          end

          # @param numeral [Integer] any whole number, taken round the dial
          # @return [Integer] the numeral in that place, 1..12
          def numeral(numeral) = ((numeral - 1) % 12) + 1

          private :new
        end

        # @param index [Integer] minutes after twelve on the dial, 0..719
        def initialize(index)
          @index = index
          freeze
        end

        # @return [DialTime] itself, so that a time in digits can be asked like a {SpokenTime}
        def time = self

        # @return [DialTime] itself, so that a dial shows a time of the day like any other
        # @example DayTime.parse("19:45").dial_time == DialTime.parse("7:45").dial_time #=> true
        def dial_time = self

        # @return [Integer] whole hours since twelve, 0..11
        def hour = index / 60

        # @return [Integer] minutes since the hour, 0..59
        def minute = index % 60

        # @return [Integer] the numeral the hour hand has reached or passed, 1..12
        def hour_passed = DialTime.numeral(hour)

        # @return [Integer] the numeral the hour hand comes to next, 1..12
        def hour_ahead = DialTime.numeral(hour + 1)

        # @return [Symbol] `:oclock`, `:past` (minutes 1 to 30) or `:to`
        def side
          return :oclock if minute.zero?

          minute <= 30 ? :past : :to
        end

        # @return [Integer] minutes past the hour passed
        def minutes_past = minute

        # @return [Integer] minutes still to go to the hour ahead, 1..60
        def minutes_to = 60 - minute

        # @return [Integer] the numeral the minute hand has reached or passed, 1..12
        def minute_numeral = DialTime.numeral(minute / 5)

        # @return [Integer] marks the minute hand has gone beyond that numeral, 0..4
        def ticks = minute % 5

        # @return [Float] degrees clockwise from the twelve
        def hour_hand_degrees = index / 2.0

        # @return [Float] degrees clockwise from the twelve
        def minute_hand_degrees = minute * 6.0

        # @return [Integer] minutes that the minute hand takes from the numeral in the place of the hour to its
        #   own numeral, 0..55: from the 7 to the 9 at 7:45, from the top to the 9 at 12:45
        def minutes_between_numerals = 5 * (((minute / 5) - hour) % 12)

        # @return [Hands] both hands as angles
        def hands = Hands.new(hour_hand_degrees, minute_hand_degrees)

        # @return [Float] the smaller angle between the hands, in degrees
        def gap_degrees = hands.gap_degrees

        # @return [Boolean] whether one hand hides the other
        def hidden_hand? = gap_degrees < HIDDEN_BELOW_DEGREES

        # @return [Boolean] whether the hour is the twelve, where "the smaller number" fails as a rule
        def twelve_hour? = hour.zero?

        # @param sign [String] between hours and minutes
        # @return [String] digital notation, such as "7:05"
        def digital(sign = ":") = format("%<hour>d%<sign>s%<minute>02d", hour: hour_passed, sign:, minute:)

        # @return [String] the name of the time, "7:05" in every convention
        def to_s = digital

        # @return [String]
        def inspect = "#<DialTime #{digital}>"

        def <=>(other) = other.is_a?(DialTime) ? index <=> other.index : nil

        def ==(other) = other.is_a?(DialTime) && index == other.index
        alias eql? ==

        def hash = index.hash
      end
    end
  end
end
