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
        # @param said [Hash{Object => Array<Said>}] by child, what a teacher says it knows, or does not yet
        def initialize(by_child, today:, lessons: [], said: {})
          @today = today
          @asked = by_child
          @said = said
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
        # @return [Step, nil] next for this child: the lowest not shown yet, at most one above the class's last or its next
        def next_for(key)
          by_child.fetch(key).next_step(limit:, tracing: tracings.fetch(key), said: @said.fetch(key, []))
        end

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

        # @param key [Object] of a child
        # @param step [Step]
        # @return [Boolean] whether the child is expected to know it
        def known?(key, step) = tracings.fetch(key).of_step(step) >= Standing::EXPECTED

        # @param step [Step]
        # @return [Array] keys of the children who were secure on it and may have lost it
        def fading(step) = by_child.select { |_, one| one.fading.include?(step) }.keys

        # Days that are told of as lately.
        LATELY = 7

        # @param key [Object] of a child
        # @return [Array<Step>] secure by now, and not yet {LATELY} days ago
        def newly_secure(key)
          now = by_child.fetch(key).states.select { |_, state| state == :secure }.keys
          now.any? ? now - secure_before(key) : []
        end

        # @param step [Step]
        # @return [Integer, nil] the last day on which anybody answered on it
        def last_day(step) = by_child.values.filter_map { |one| one.keeping.last_day(step) }.max

        # @return [Hash{Object => Tracing}] by child, where whole dials tell of their parts as well, and what nearly all have shown
        #   counts as known for those who did: one rule for what is next for the class, for its term and for its groups
        def tracings
          @tracings ||= @asked.to_h { |key, asked| [key, traced(key, asked, by_child.fetch(key))] }.freeze
        end

        # @return [Term::Learning] how likely a lesson makes its step known in this class
        def learning = @learning ||= Vantick::Core::Term::Learning.of(@asked, lessons)

        # @return [Float] 0..1, how often children of this class are away
        def away = @away ||= Vantick::Core::Term::Learning.away(@asked)

        # @param kinds [Array<Symbol>]
        # @return [Array<Term::Start>] where a forecast begins
        def starts(kinds) = by_child.map { |key, standing| Vantick::Core::Term::Start.of(standing, tracings.fetch(key), kinds) }

        private

        def traced(key, asked, standing)
          said = @said.fetch(key, [])
          shown = (standing.shown & shown_by_nearly_all).to_h { |step| [step, standing.shown_on(step)] }
          shown = shown.reject { |step, day| said.any? { |one| one.step == step && !one.known && one.day >= day } }
          Tracing.new(asked, lessons:, today: @today, parts: true, said:).with_shown(shown)
        end

        # Of the children who have answered anything: who has just come holds nobody up.
        def shown_by_nearly_all
          @shown_by_nearly_all ||= begin
            known = by_child.reject { |key, _| @asked.fetch(key).empty? }.values
            Step.with_times.select { |step| known.count { |one| one.shown.include?(step) } >= Course::ROW[:shown_share] * known.length }
          end
        end

        def secure_before(key)
          day = @today - LATELY
          earlier = @asked.fetch(key).select { |one| one.day <= day }
          states = Standing.new(earlier, today: day, lessons: lessons.select { |lesson| lesson.day <= day }).states
          states.select { |_, state| state == :secure }.keys
        end

        def course = @course ||= Course.new(tracings, lessons)

        # One above the highest step that the class was taught, or what is next for it where that is higher.
        def limit
          ladder = Step.with_times
          highest = lessons.map { |lesson| ladder.index(lesson.step) }.max or return
          following = next_step.step || ladder.last
          ladder[(highest + 1).clamp(ladder.index(following), ladder.length - 1)]
        end
      end
    end
  end
end
