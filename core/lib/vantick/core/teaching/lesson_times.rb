# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Where the times of a lesson come from: the step's own, and those of earlier steps. None is given twice.
      class LessonTimes
        # @param step [Curriculum::Step]
        # @param task [Task] one of the step's
        # @param seed [Integer]
        # @param used [Array<DialTime, DayTime>] times not to give
        # @param context [LessonContext]
        def initialize(step:, task:, seed:, used:, context: LessonContext.new)
          @step = step
          @task = task
          @earlier_task = Curriculum::Step.hardest.tasks.include?(task) ? task : Tasks::Task.find(:dial_to_words)
          @own = step.pool_for(task)
          @below = pools(step.foundations)
          @gone_over = context.earlier.select { |lower| lower.tasks.include?(@earlier_task) }
          @earlier = context.earlier.empty? ? @below : pools(@gone_over)
          @parts = parts_of(context.earlier)
          @seed = seed
          @used = used.dup
          @exit_avoid = context.exit_avoid
          @day_times = context.day_times
        end

        # @return [Array<DialTime, DayTime>] all times of the step
        attr_reader :own

        # @return [Array<DialTime>] those of the kind that the step brings, where there is anything below to begin with
        def unknown
          @unknown ||= @step.whole? && @below.any? ? @own.select { |time| Curriculum::Difficulty.minute_class(time) == @step.id } : []
        end

        # @param wanted [Hash{Symbol => Integer}] times by stage
        # @return [Hash{Symbol => LessonShares::Share}]
        def shares(wanted)
          earlier = ((@earlier | @below | @parts.keys) - @own - @used).length
          LessonShares.of(wanted, own: (@own - @used).length, earlier:, neighbours: neighbours.length)
        end

        # @param share [LessonShares::Share]
        # @param thorough [Boolean] whether they should tell as much as they can
        # @return [Array<DialTime, DayTime>] the step's own first; fewer where they run out
        def take(share, thorough:)
          at_hand = choose(share.own, (@own - @used) & @day_times, thorough)
          at_hand + choose(share.own - at_hand.length, @own - @used, thorough) + gone_over(share.earlier, thorough)
        end

        # @param share [LessonShares::Share]
        # @return [Array<DialTime, DayTime>] those that are shown: what is new comes first, as a pair that differs in what matters
        def take_shown(share)
          pair = share.own >= 2 ? ContrastingPair.of(@step, @own - @used, Random.new(@seed)) : []
          @used.concat(pair)
          pair + new_first(take(LessonShares::Share.new(share.own - pair.length, share.earlier), thorough: false))
        end

        # @param times [Array<DialTime, DayTime>]
        # @return [Array<DialTime, DayTime>] what is new comes before what is among the step's own times and was had earlier
        def new_first(times)
          return times unless @step.whole?

          fresh = ContrastingPair.newest(@step, times)
          fresh + (times - fresh)
        end

        # @param share [LessonShares::Share]
        # @return [Array<DialTime, DayTime>] those of an exit: other than in the last ones, with a few of its neighbours where the step
        #   has one kind of times, or always saying the same would be right
        def take_exit(share)
          own = @own - @used
          fresh = own - @exit_avoid
          pool = fresh.length >= share.own ? fresh : own
          found = choose(share.own, pool, true, twelve: @seed.even?)
          found + choose(share.earlier, (neighbours - @used - @exit_avoid), true, twelve: false)
        end

        # @param time [DialTime, DayTime]
        # @return [Task] with which it is asked: the lesson's own, but for times of earlier steps that are
        #   asked otherwise
        def task_for(time) = @parts[time] || (time.is_a?(Dial::DayTime) || @task.asks != :day ? @task : @earlier_task)

        private

        def choose(wanted, pool, thorough, twelve: true)
          count = [wanted, pool.length, Choosing::Chooser::MOST].min
          return [] unless count.positive?

          pool = Choosing::TimePool.new(pool, @step.name, *question_source(pool))
          chosen = Choosing::Chooser.public_send(thorough ? :from : :quickly, pool, count:, seed: @seed, twelve:).times
          @used.concat(chosen)
          chosen
        end

        # What tells the step's misreadings apart tells most; a hand alone or numerals are asked with their own task; whole dials of
        # earlier steps are asked for any.
        def question_source(pool)
          return [@task, Choosing::Discrimination.for(@step, @task)] if (pool - @own).empty?

          part = @parts[pool.first]
          task, step = part ? [part, Curriculum::Step.home(part)] : [@earlier_task, Curriculum::Step.hardest]
          [task, Choosing::Discrimination.for(step, task)]
        end

        # What is to be gone over first, each step its share; then what the step rests on, and last its own.
        def gone_over(wanted, thorough)
          pools = [*@gone_over.map { |step| step.pool_for(@earlier_task) }, *parts_by_task].reject(&:empty?)
          each = pools.empty? ? 0 : (wanted / pools.length.to_f).ceil
          found = pools.flat_map { |pool| choose(each, pool - @own - @used, thorough) }.first(wanted)
          [@earlier, @below, own_too].reduce(found) { |so_far, pool| so_far + choose(wanted - so_far.length, pool - @used, thorough) }
        end

        def parts_by_task = @parts.keys.group_by { |time| @parts[time] }.values

        # What nobody has been shown yet is nothing to begin with.
        def own_too = @earlier_task == @task || @below.empty? ? @own - unknown : []

        # What the task of earlier times can be asked about: not every time of a step can be seen on its dial.
        def pools(steps)
          steps.select { |step| step.tasks.include?(@earlier_task) }.flat_map { |step| step.pool_for(@earlier_task) }.uniq
        end

        # Hour hand and numerals are gone over with tasks of their own, at times that no whole dial of the lesson is asked with.
        def parts_of(steps)
          whole = (@own + @below + @earlier).to_set
          parts(steps).each_with_object({}) do |(step, task), found|
            left = step.pool_for(task).reject { |time| whole.include?(time) || found.key?(time) || time.hidden_hand? }
            left.each { |time| found[time] = task }
          end
        end

        # Steps at which one hand or numerals are read, with the first of their tasks for times of the dial.
        def parts(steps)
          found = steps.reject { |step| step.whole? || step.tasks.include?(@task) }
          found.filter_map { |step| step.tasks.find { |task| task.asks == :time }&.then { |task| [step, task] } }
        end

        # The kind of times next below, for a step that has one kind alone.
        def neighbours
          @neighbours ||= begin
            below = if Curriculum::KnowledgeComponents.of_step(@step).one? && @step.whole?
                      @step.builds_on.select(&:whole?).select do |lower|
                        lower.pool.any?
                      end
                    else
                      []
                    end
            pools(below.last(1))
          end
        end
      end
    end
  end
end
