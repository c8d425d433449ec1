# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What one child keeps of every step, worked out when it is asked for.
      class Keeping
        # @param by_step [Hash{Teaching::Step => Array<Judging::Secure::Given>}] oldest first
        # @param today [Integer]
        def initialize(by_step, today)
          @by_step = by_step
          @today = today
          @strengths = {}
        end

        # @param step [Teaching::Step]
        # @return [Strength, nil] nothing where it never became secure
        def strength(step) = @strengths.fetch(step) { @strengths[step] = Strength.of(@by_step.fetch(step)) }

        # @param step [Teaching::Step]
        # @return [Boolean] whether it was secure and may be lost by now
        def fading?(step) = strength(step)&.fading?(@today) || false

        # @param step [Teaching::Step]
        # @return [Integer, nil] the day of the last answer on it
        def last_day(step) = @by_step.fetch(step).last&.day
      end
    end
  end
end
