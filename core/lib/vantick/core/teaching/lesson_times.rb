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
        @below = gone_over(step.foundations)
        @earlier = earlier.empty? ? @below : gone_over(earlier)
        @seed = seed
        @used = used.dup
      end

      # @param wanted [Hash{Symbol => Integer}] times by stage
      # @return [Hash{Symbol => LessonShares::Share}]
      def shares(wanted) = LessonShares.of(wanted, own: (@own - @used).length, earlier: ((@earlier | @below) - @own - @used).length)

      # @param share [LessonShares::Share]
      # @param thorough [Boolean] whether they should tell as much as they can
      # @return [Array<DialTime, DayTime>] the step's own first; fewer where they run out
      def take(share, thorough:) = choose(share.own, @own - @used, thorough) + choose(share.earlier, before(share.earlier), thorough)

      # @param time [DialTime, DayTime]
      # @return [Task] with which it is asked: the lesson's own, but for times of earlier steps that are
      #   asked otherwise
      def task_for(time) = time.is_a?(DayTime) || @task.asks != :day ? @task : @earlier_task

      private

      def choose(wanted, pool, thorough)
        count = [wanted, pool.length, Chooser::MOST].min
        return [] unless count.positive?

        task, telling = asked(pool)
        chosen = Chooser.from(pool, name: @step.name, task:, count:, seed: @seed, telling:, thorough:).times
        @used.concat(chosen)
        chosen
      end

      def asked(pool)
        (pool - @own).empty? ? [@task, Telling.for(@step, @task)] : [@earlier_task, Telling.for(Step.hardest, @earlier_task)]
      end

      # First those asked for, then all that the step rests on; its own help out at last, if they are asked the
      # same way.
      def before(wanted)
        own = @earlier_task == @task || @below.empty? ? @own : []
        [@earlier, @below, own].reduce([]) { |found, more| found.length >= wanted ? found : found | (more - @used) }
      end

      def gone_over(steps) = steps.select { |step| step.tasks.include?(@earlier_task) }.flat_map(&:pool).uniq
    end
  end
end
