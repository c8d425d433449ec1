# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # A child's weeks of help on one page: what is planned, and what the child knew before and after.
      class SupportRecord
        TABLE = Core::Teaching::SupportPlan::TABLE
        FAR_BELOW = Core::Term::SchoolReport::TABLE.slice(:steps_below).freeze

        # @param store [Store::Database]
        # @param school_class [Store::Rows::SchoolClass]
        # @param child [Store::Rows::Child]
        # @param today [Integer] a Julian day
        def initialize(store, school_class, child, today)
          @store = store
          @class = school_class
          @child = child
          @today = today
        end

        # @return [Hash]
        def to_h
          begun = @store.support_plans.of_child(@child.id)
          { child: @child.slice(:id, :name), far_below: far_below?, **FAR_BELOW, begun: !begun.nil?, **TABLE.slice(:minutes, :times_a_week),
            **(begun ? of_begun(begun) : proposed) }
        end

        # @return [Array<Hash>] as it is kept
        def weeks
          Core::Teaching::SupportPlan.of(progress, @child.id, seed: @child.id).map do |week|
            { step: week.step.id, task: week.task.id, misreading: week.misreading&.id,
              times: week.times.map { |time| time.dial_time.to_s } }
          end
        end

        private

        def progress = @progress ||= Store::ProgressCache.of(@class, @store, today: @today)

        def far_below? = progress.far_below.include?(@child.id)

        def proposed
          { began_on: nil, ends_on: nil, weeks:, before: before(weeks, @today, answers), after: nil }
        end

        def of_begun(begun)
          first = Date.iso8601(begun[:began_on]).jd
          last = first + (TABLE[:weeks] * 7)
          earlier, since = answers.partition { |answer| answer.answered_at < begun[:made_at] }
          { began_on: begun[:began_on], ends_on: Date.jd(last).iso8601, weeks: begun[:weeks],
            before: before(begun[:weeks], first, earlier), after: (after(begun[:weeks], last, earlier, since) if @today > first) }
        end

        # With what was right in as many weeks before.
        def before(weeks, day, earlier)
          from = day - (TABLE[:weeks] * 7)
          known(weeks, day, earlier).merge(right(weeks, earlier.select { |answer| jd(answer) >= from }))
        end

        def after(weeks, last, earlier, since)
          until_then = since.select { |answer| jd(answer) <= last }
          known(weeks, [@today, last].min, earlier + until_then).merge(right(weeks, until_then))
        end

        def known(weeks, day, given)
          own = Store::ProgressCache.of_answers(@child, @class, @store, given, today: day).by_child.fetch(@child.id)
          steps = weeks.map { |week| Core::Curriculum::Step.find(week[:step]) }.uniq
          { day: Date.jd(day).iso8601, likely: own.diagnosis.likely.map(&:id),
            steps: steps.map { |step| { step: step.id, state: own.states.fetch(step), ways: own.ways(step) } } }
        end

        # Of the answers on the plan's steps.
        def right(weeks, given)
          ids = weeks.map { |week| week[:step].to_s }
          asked = given.select { |answer| ids.include?(answer.step) }
          counted = asked.map { |answer| Store::MarkedAnswers.from_row(answer, @class.wording) }.select(&:telling?)
          { right: counted.count(&:right?), answered: counted.length }
        end

        def answers = @answers ||= @store.answers.of_child(@child.id)

        def jd(answer) = Store::SchoolDay.jd(answer.answered_at)
      end
    end
  end
end
