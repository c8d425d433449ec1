# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Where a class stands on the ladder, and which step is next for it.
      class ClassStanding
        # @return [Hash{Object => Standing}] by child
        attr_reader :by_child
        # @return [Array<Course::Given>] lessons there were, oldest first
        attr_reader :lessons

        # @param by_child [Hash{Object => Array<Standing::Asked>}] oldest first; a key is any name for a child
        # @param today [Integer] in the same count of days
        # @param lessons [Array<Course::Given>] that are known to have been given
        def initialize(by_child, today:, lessons: [])
          @today = today
          @asked = by_child
          @lessons = Course.lessons(by_child, lessons).freeze
          @by_child = by_child.transform_values { |asked| Standing.new(asked, today:, lessons: @lessons) }.freeze
        end

        # @param step [Step]
        # @return [Hash{Symbol => Integer}] children by state
        def counts(step)
          tally = by_child.values.map { |standing| standing.states.fetch(step) }.tally
          Judging::Secure::STATES.to_h { |state| [state, tally.fetch(state, 0)] }
        end

        # @return [Array<Step>] those that some child met
        def met = Step.with_times.select { |step| counts(step)[:not_met] < by_child.length }

        # @return [Course::Next]
        def next_step = course.next_step(today: @today)

        # @param key [Object] of a child
        # @return [Step, nil] next for this child: the lowest not shown yet, at most one above the class
        def next_for(key) = by_child.fetch(key).next_step(limit:)

        # @param step [Step]
        # @return [Array<Step>] what a lesson on it goes over first: at most three that many are shaky on
        def to_go_over(step) = Recap.steps(tracings, step, before: met | lessons.map(&:step).uniq)

        # @param step [Step]
        # @return [Misreading, nil] the one that most of the class are likely to have and that can show on the step
        def misreading_on(step)
          likely = by_child.values.flat_map { |standing| standing.diagnosis.likely }
          shown = likely.select { |one| step.shows?(one) }
          shown.tally.max_by { |_, count| count }&.first
        end

        # @param misreading [Misreading]
        # @return [Array] keys of the children in whom it is likely
        def likely(misreading) = by_child.select { |_, standing| standing.diagnosis.likely.include?(misreading) }.keys

        # @return [Array<Groups::Known>] what groups are made of
        def known
          by_child.map do |key, standing|
            step = next_for(key)
            Groups::Known.new(key:, misreading: standing.diagnosis.likely.first, step:, going_on: standing.going_on?(step))
          end
        end

        private

        def tracings
          @tracings ||= @asked.transform_values { |asked| Tracing.new(asked, lessons:, today: @today, parts: true) }.freeze
        end

        def course = @course ||= Course.new(tracings, lessons)

        # One above the highest step that the class was taught.
        def limit
          ladder = Step.with_times
          highest = lessons.map { |lesson| ladder.index(lesson.step) }.max
          highest && ladder[[highest + 1, ladder.length - 1].min]
        end
      end
    end
  end
end
