# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # How both hands are set, step by step: the long hand first, as the short one is only part of the way then; last what they say.
      module SettingSteps
        WORDS = DeskTask::WORDS[:helps]

        # @param time [DialTime]
        # @param conventions [Conventions]
        # @return [Array<TalkStep>]
        def self.of(time, conventions = Wording::Conventions.default)
          steps = Reading::TalkThrough.steps(time, conventions)
          minutes, hours, coming, said = %i[minutes hour coming say].map { |part| steps.select { |step| step.part == part } }
          short = Reading::TalkStep.new(:hour, WORDS[time.side == :oclock ? :set_short_on : :set_short], *hours.first.lights)
          [*coming, *minutes, *hours, short, *said]
        end
      end
    end
  end
end
