# frozen_string_literal: true

module Vantick
  module Core
    module Dial
      # Looks at a drawn clock: two angles, and the time they mean. Says how well the hour hand is placed,
      # why, and which misreadings the picture invites.
      class DrawingCheck
        # Degrees that the hour hand may be off (judgement).
        WELL_PLACED = 5
        READABLE = 10
        HOUR = 30
        WORDS = Facts::DataFile.load("words")[:drawing]
        FRACTIONS = { 0 => :exactly, 15 => :quarter, 30 => :half, 45 => :three_quarters }.freeze

        # @return [Hands] as drawn
        attr_reader :hands
        # @return [DialTime] the minute of the long hand, and the hour whose hour hand would be nearest
        attr_reader :time

        # @param hands [Hands]
        def initialize(hands)
          @hands = hands
          minute = (hands.minute_degrees / 6.0).round % 60
          hour = ((hands.hour_degrees - (minute / 2.0)) / HOUR.to_f).round % 12
          @time = DialTime.at(hour, minute)
          freeze
        end

        # @return [Float] how far the hour hand is from its place, -15.0..15.0; positive when too far round
        def offset_degrees = Hands.apart(hands.hour_degrees, time.hour_hand_degrees).to_f

        # @return [Float] how much nearer this hour is than the next best one, 0.0..30.0
        def margin_degrees = HOUR - (2 * offset_degrees.abs)

        # @return [Symbol] `:well_placed`, `:readable` or `:misleading`
        def verdict
          return :well_placed if offset_degrees.abs <= WELL_PLACED

          offset_degrees.abs <= READABLE ? :readable : :misleading
        end

        # @return [String] where the hour hand is, and where it belongs
        def reason
          return WORDS[:well_placed] if verdict == :well_placed

          "#{format(WORDS[:drawn], place: place(hands.hour_degrees))} #{format(WORDS[:belongs], time: time.digital, place: belongs)}"
        end

        # @return [Array<Symbol>] misreadings the picture leads to, most of all this one
        def invites
          return [] if verdict == :well_placed

          found = [offset_degrees.positive? ? :next_hour_early : behind]
          found << :hands_swapped if hands.swapped.hour_hand_offset_degrees.abs < offset_degrees.abs
          found.compact
        end

        private

        # Too far back, a hand in the left half stands near the hour that has passed.
        def behind = (:to_with_passed_hour if time.side == :to)

        def place(degrees)
          nearest = (degrees / HOUR.to_f).round
          return format(WORDS[:at], numeral: DialTime.numeral(nearest)) if (degrees - (nearest * HOUR)).abs <= 1

          passed = DialTime.numeral((degrees / HOUR.to_f).floor)
          format(WORDS[:between], passed:, ahead: DialTime.numeral(passed + 1))
        end

        def belongs
          key = FRACTIONS[time.minute]
          key ||= time.minute > 50 ? :nearly : :part
          format(WORDS[key], passed: time.hour_passed, ahead: time.hour_ahead)
        end
      end
    end
  end
end
