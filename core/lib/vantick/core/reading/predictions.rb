# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # The wrong answers of every misreading at all times of a task, worked out once and kept: they
      # never change, and a diagnosis asks for them by the thousand.
      class Predictions
        # @param task [Task]
        # @return [Predictions]
        def self.of(task)
          @made ||= {}
          @made[task.id] ||= new(task)
        end

        def initialize(task)
          @wrong = Misreading.all.to_h do |misreading|
            [misreading.id, task.times.to_h { |time| [time.index, misreading.wrong_answers(time, task).freeze] }.freeze]
          end.freeze
        end

        # @param time [DialTime]
        # @return [Integer] wrong answers that some misreading predicts there
        def count(time) = (@counts ||= {})[time.index] ||= @wrong.each_value.flat_map { |at| at.fetch(time.index, []) }.uniq.length

        # @param time [DialTime]
        # @return [Hash{Symbol => Array}] the wrong answers there, by misreading; none of those that tell nothing
        def at(time)
          (@at ||= {})[time.index] ||= @wrong.transform_values { |at| at.fetch(time.index, []) }.reject { |_, wrong| wrong.empty? }.freeze
        end

        # @param misreading [Misreading]
        # @param time [DialTime]
        # @return [Array<DialTime, Saying>] empty where the misreading tells nothing
        def wrong_answers(misreading, time) = @wrong.fetch(misreading.id).fetch(time.index, [])
      end
    end
  end
end
