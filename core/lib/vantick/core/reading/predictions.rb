# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # The wrong answers of every misreading at the times of a task, each worked out once and kept: they
      # never change, and a diagnosis asks for them by the thousand.
      class Predictions
        # @param task [Task]
        # @return [Predictions]
        def self.of(task)
          @made ||= {}
          @made[task.id] ||= new(task)
        end

        # @param task [Tasks::Task]
        def initialize(task)
          @task = task
          @at = {}
          @counts = {}
        end

        # @param time [DialTime]
        # @return [Integer] wrong answers that some misreading predicts there
        def count(time) = @counts[time.index] ||= at(time).values.flatten(1).uniq.length

        # @param time [DialTime]
        # @return [Hash{Symbol => Array}] the wrong answers there, by misreading; none of those that tell nothing
        def at(time) = @at[time.index] ||= worked_out(time)

        # @param misreading [Misreading]
        # @param time [DialTime]
        # @return [Array<DialTime, SpokenTime>] empty where the misreading tells nothing
        def wrong_answers(misreading, time) = at(time).fetch(misreading.id, NOTHING)

        NOTHING = [].freeze
        private_constant :NOTHING

        private

        # For a time when it is asked for: a class meets a part of them, and all would take seconds.
        def worked_out(time)
          wrong = Misreading.all.to_h { |misreading| [misreading.id, misreading.wrong_answers(time, @task).freeze] }
          wrong.reject { |_, answers| answers.empty? }.freeze
        end
      end
    end
  end
end
