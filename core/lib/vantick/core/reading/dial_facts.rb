# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # Everything a dial says at a time, as a plain table row: for those who look it up and compute nothing.
      module DialFacts
        # @param time [DialTime]
        # @param conventions [Conventions]
        # @return [Hash{Symbol => Object}] angles in degrees, minutes on the dial
        def self.of(time, conventions = Wording::Conventions.default)
          { time: time.digital, hour_hand_degrees: time.hour_hand_degrees, minute_hand_degrees: time.minute_hand_degrees,
            hour_passed: time.hour_passed, hour_ahead: time.hour_ahead, side: time.side,
            minutes_past: time.minutes_past, minutes_to: time.minutes_to,
            digital: time.digital(conventions.sign), usual: Wording::Phrase.usual(time, conventions),
            words: Wording::Phrase.all(time, conventions), at_home: Wording::Phrase.elsewhere(time, conventions),
            steps: TalkThrough.steps(time, conventions).map(&:to_h) }
        end
      end
    end
  end
end
