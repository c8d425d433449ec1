# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Where a class stands on the ladder, and which step is next for it.
      class ClassProgress
        # The share of a class with one misreading from which a lesson comes after it.
        MISTAKEN = Facts::DataFile.load("term")[:plan][:mistaken]
        REPORT = Facts::DataFile.load("report").freeze
        private_constant :MISTAKEN, :REPORT

        # @return [Hash{Object => ChildProgress}] by child
        attr_reader :by_child
        # @return [Hash{Object => Array<Curriculum::ItemResponse>}] by child, oldest first
        attr_reader :asked
        # @return [Array<SchemeOfWork::GivenLesson>] lessons there were, oldest first
        attr_reader :lessons
        # @return [Order] in which this class goes up
        attr_reader :order
        # @return [Integer] the day that it is true of
        attr_reader :today

        # @param by_child [Hash{Object => Array<Curriculum::ItemResponse>}] oldest first; a key is any name for a child
        # @param today [Integer] in the same count of days
        # @param record [ClassRecord] what is known beside the answers
        # @param conventions [Wording::Conventions] of the class: in which order it goes up, and what secure means in it
        def initialize(by_child, today:, record: ClassRecord.new, conventions: Wording::Conventions.default)
          @order = Order.new(conventions)
          @today = today
          @asked = by_child
          @judgements = record.judgements
          @presence = Presence.new(by_child, away: record.away, since: record.since)
          @wanted = Knowing::States.wanted(conventions)
          @lessons = SchemeOfWork.lessons(by_child, record.lessons).freeze
          @by_child = by_child.to_h { |key, asked| [key, progress(key, asked)] }.freeze
        end

        # @param step [Curriculum::Step]
        # @return [Hash{Symbol => Integer}] children by state
        def counts(step)
          tally = by_child.values.map { |progress| progress.states.fetch(step) }.tally
          Knowing::States::ALL.reverse.to_h { |state| [state, tally.fetch(state, 0)] }
        end

        # @param step [Curriculum::Step]
        # @return [Hash{Object => Integer}] by child, the level of its sheets on the step, see {Choosing::Levels}
        def levels(step) = by_child.transform_values { |progress| Choosing::Levels.of_state(progress.states.fetch(step)) }

        # @return [Array<Curriculum::Step>] those that most of the class have shown; who was never asked counts for nothing
        def reached
          known = by_child.select { |key, _| asked[key].any? }.values
          Curriculum::Step.with_times.select do |step|
            known.any? && known.count do |child|
              child.shown?(step)
            end >= REPORT[:reached] * known.length
          end
        end

        # @param key [Object] of a child
        # @return [Array<Curriculum::Step>] those that most of the class have shown and the child hasn't
        def behind(key) = reached.reject { |step| by_child.fetch(key).shown?(step) }

        # @return [Array] keys of the children who are so many steps behind; nobody who was never asked
        def far_below = by_child.keys.select { |key| asked[key].any? && behind(key).length >= REPORT[:steps_below] }

        # @return [Array<Curriculum::Step>] those that some child met
        def met = Curriculum::Step.with_times.select { |step| counts(step)[:not_yet] < by_child.length }

        # @return [SchemeOfWork::Next]
        def next_step = course.next_step(today: @today)

        # @param key [Object] of a child
        # @return [Curriculum::Step, nil] next for this child: the lowest not shown yet, at most one above the class's last or its next
        def next_for(key)
          by_child.fetch(key).next_step(limit:)
        end

        # @param step [Curriculum::Step]
        # @return [Array<Curriculum::Step>] what a lesson on it goes over first: at most three that many are shaky on
        def to_go_over(step) = Recap.steps(expected, step, before: met | lessons.map(&:step).uniq)

        # @param step [Curriculum::Step]
        # @return [Misreading, nil] the one that most of the class are likely to have and that can show on the step
        def misreading_on(step)
          likely = by_child.values.flat_map { |progress| progress.diagnosis.likely }
          shown = likely.select { |misreading| step.shows?(misreading) }
          shown.tally.max_by { |_, count| count }&.first
        end

        # @param misreading [Misreading]
        # @return [Array] keys of the children in whom it is likely
        def likely(misreading) = by_child.select { |_, progress| progress.diagnosis.likely.include?(misreading) }.keys

        # @param step [Curriculum::Step]
        # @return [Misreading, nil] what a lesson on it comes after: the one of {#misreading_on} where a good part of the class has it
        # @example
        #   progress.mistaken_on(Step.find(:quarter_to))&.id # :to_with_passed_hour
        def mistaken_on(step)
          found = misreading_on(step)
          found if found && likely(found).length >= MISTAKEN * by_child.length
        end

        # @return [Array<Groups::Known>] what groups are made of
        def known
          by_child.map do |key, progress|
            step = next_for(key)
            Groups::Known.new(key:, misreading: progress.diagnosis.likely.first, step:, going_on: progress.going_on?(step))
          end
        end

        # @param key [Object] of a child
        # @param step [Curriculum::Step]
        # @return [Boolean] whether the child is expected to know it
        def known?(key, step) = expected.fetch(key).of_step(step) >= ChildProgress::ROW[:passed]

        # @param step [Curriculum::Step]
        # @return [Array] keys of the children whose review of it is due
        def review_due(step) = by_child.select { |_, child| child.review_due.include?(step) }.keys

        # Days that are told of as lately.
        LATELY = TeachingNumbers.of(:newly_secure_days)

        # @param key [Object] of a child
        # @return [Array<Curriculum::Step>] secure by now, and not yet {LATELY} days ago
        def newly_secure(key)
          child = by_child.fetch(key)
          child.states.select { |_, state| state == :secure }.keys - child.secure_on(@today - LATELY)
        end

        # @param step [Curriculum::Step]
        # @return [Integer, nil] the last day on which anybody answered on it
        def last_day(step) = by_child.values.filter_map { |child| child.last_day(step) }.max

        # @return [Hash{Object => Knowing::Expected}] by child: one rule for what is next for the class, for its term and for its groups
        def expected = @expected ||= by_child.transform_values(&:expected).freeze

        # @return [Teaching::Learning] how likely a lesson makes its step known in this class
        def learning
          @learning ||= Learning.of(@asked, lessons, by_child.transform_values(&:before))
        end

        # @return [Float] 0..1, how often children of this class are away
        def away = @presence.away

        # @return [Offered] whether it should be found out where children are, and of whom
        def offered = @offered ||= Offered.of(@asked, @judgements, @today)

        # @param kinds [Array<Symbol>]
        # @return [Array<Teaching::Start>] where a forecast begins
        def starts(kinds) = by_child.values.map { |progress| Start.of(progress, kinds) }

        private

        def progress(key, asked)
          there = lessons.select { |lesson| @presence.there?(key, lesson.day) }
          ChildProgress.new(asked, today: @today, lessons: there, judgements: @judgements.fetch(key, []), wanted: @wanted)
        end

        def course = @course ||= SchemeOfWork.new(expected, lessons, ladder: order.of(Curriculum::Step.with_times))

        # One above the highest step that the class was taught, or what is next for it where that is higher. What only takes steps below
        # together is no step up.
        def limit
          return if lessons.empty?

          Curriculum::Step.above(lessons.map(&:step), least: next_step.step || Curriculum::Step.with_times.last)
        end
      end
    end
  end
end
