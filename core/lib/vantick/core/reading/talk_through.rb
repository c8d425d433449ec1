# frozen_string_literal: true

module Vantick
  module Core
    # A reading spoken as short steps: the hour so far, then the minutes.
    # Between twelve and one the hour so far is the twelve, so the steps speak of the number passed
    # and never of the smaller one.
    module TalkThrough
      WORDS = DataFile.load("words")[:talk]
      LANDMARKS = { 0 => :oclock, 15 => :quarter_past, 30 => :half, 45 => :quarter_to }.freeze

      class << self
        # @param time [DialTime]
        # @return [Hash{Symbol => String}] a sentence for `:hour` and one for `:minutes`
        def sentences(time) = { hour: hour(time), minutes: minutes(time) }

        private

        def hour(time)
          key = time.side == :oclock ? :exact : :between
          format(WORDS[:hour][key], passed: time.hour_passed, ahead: time.hour_ahead)
        end

        def minutes(time)
          landmark = LANDMARKS[time.minute]
          return WORDS[:minutes][landmark] if landmark

          saying = Saying.usual(time)
          fives = 5.step(saying.count, 5).to_a
          ones = ((saying.count - (saying.count % 5) + 1)..saying.count).to_a
          format(WORDS[:minutes][:"#{saying.side}_#{kind(fives, ones)}"], fives: fives.join(", "), ones: ones.join(", "))
        end

        def kind(fives, ones)
          return :ticks if fives.empty?

          ones.empty? ? :fives : :both
        end
      end
    end
  end
end
