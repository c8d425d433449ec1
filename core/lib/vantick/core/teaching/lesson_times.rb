# frozen_string_literal: true

module Vantick
  module Core
    # Where the times of a lesson come from: the step's own, and those of earlier steps. None is given twice.
    class LessonTimes
      # @param step [Step]
      # @param task [Task] one of the step's
      # @param earlier [Array<Step>]
      # @param seed [Integer]
      # @param used [Array<DialTime, DayTime>] times not to give
      def initialize(step:, task:, earlier:, seed:, used:)
        @step = step
        @task = task
        @earlier_task = Step.hardest.tasks.include?(task) ? task : Task.find(:dial_to_words)
        @own = step.pool_for(task)
        @earlier = gone_over(earlier.empty? ? step.builds_on : earlier)
        @seed = seed
        @used = used.dup
      end

      # @param wanted [Integer]
      # @param earlier [Boolean] whether times of earlier steps are wanted
      # @param thorough [Boolean] whether they should tell as much as they can
      # @return [Array<DialTime, DayTime>] so many or, where they run out, fewer
      def take(wanted, earlier:, thorough:)
        pool = left(wanted, earlier)
        count = [wanted, pool.length, Chooser::MOST].min
        return [] unless count.positive?

        own = (pool - @own).empty?
        telling = own ? Telling.for(@step, @task) : Telling.for(Step.hardest, @earlier_task)
        chosen = Chooser.from(pool, name: @step.name, task: own ? @task : @earlier_task, count:, seed: @seed, telling:, thorough:).times
        @used.concat(chosen)
        chosen
      end

      # @param time [DialTime, DayTime]
      # @return [Task] with which it is asked: the lesson's own, but for times of earlier steps that are
      #   asked otherwise
      def task_for(time) = time.is_a?(DayTime) || @task.asks != :day ? @task : @earlier_task

      private

      # The step's own times help out where those of earlier steps run out, if they are asked the same way.
      def left(wanted, earlier)
        own = @own - @used
        return own unless earlier && @earlier.any?

        before = @earlier - @used
        before.length >= wanted || @earlier_task != @task ? before : before | own
      end

      def gone_over(steps) = steps.select { |step| step.tasks.include?(@earlier_task) }.flat_map(&:pool).uniq
    end
  end
end
