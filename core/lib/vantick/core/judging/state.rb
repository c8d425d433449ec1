# frozen_string_literal: true

module Vantick
  module Core
    module Judging
      # What may be true of a child: secure, unsure, or that they have one misreading or two.
      class State
        # @return [Symbol] `:secure`, `:unsure` or `:misreading`
        attr_reader :name
        # @return [Array<Misreading>] none, one or two
        attr_reader :misreadings

        # @param name [Symbol]
        # @param misreadings [Array<Misreading>]
        def initialize(name, misreadings = [])
          @name = name
          @misreadings = misreadings.freeze
          freeze
        end

        # @param time [DialTime, DayTime]
        # @param task [Task]
        # @return [Array<DialTime, SpokenTime>] what the misreadings lead to at a time, none twice
        def wrong_answers(time, task)
          return Reading::Predictions.of(task).wrong_answers(misreadings.first, time) if misreadings.one?

          misreadings.map { |misreading| Reading::Predictions.of(task).wrong_answers(misreading, time) }.reduce([], :|)
        end

        SECURE = new(:secure)
        UNSURE = new(:unsure)
      end
    end
  end
end
