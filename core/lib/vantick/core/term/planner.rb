# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # The lessons of a term to come: what is next for the class, played forward on what is expected to be known. What the aim rests on
      # comes first; what lies above it comes before the aim's day where a lesson gives much more there than on the aim.
      class Planner
        ROW = NUMBERS[:plan].freeze
        # What a teacher settled of a day.
        # @!attribute step [Curriculum::Step, nil]
        # @!attribute kind [Symbol, nil] `:skipped` or `:open`, for a day without a step
        # @!attribute how [Symbol, nil] one of {Planned::SETTLED}
        Settled = Struct.new(:step, :kind, :how, keyword_init: true)

        # @param expected [Hash{Object => Knowing::Expected}] by child
        # @param slots [Array<Days::Slot>] of the whole term
        # @param goal [Goal]
        # @param past [Past]
        # @param choices [Choices]
        def initialize(expected:, slots:, goal:, past:, choices: Choices.new)
          @expected = @at_first = expected
          @meanwhile = []
          @slots = slots
          @from = past.from
          @lessons = past.lessons.dup
          @unchecked = past.unchecked
          @goal = goal
          @settled = choices.settled
          @open = open_days(past.lost + @settled.count { |day, settled| day >= @from && settled.kind == :skipped })
          @tasks = TaskTurns.new(first: choices.order.notation)
          @ladders = [aim.ladder, Curriculum::Step.with_times].map { |steps| choices.order.of(steps - choices.without) }
        end

        # @return [Array<Planned>] one for each slot from the first day to plan
        def plan = @plan ||= coming.map { |slot| planned(slot).freeze }.freeze

        # What a plan is worth: kinds of times that a child is expected to know, those of the aim on its day and all others at the end, and
        # as much what is known meanwhile. One above the aim counts for as much less as a lesson on it has to give more.
        # @return [Float] for each child
        def worth
          plan
          return 0.0 if @expected.empty?

          above = Curriculum::KnowledgeComponents.all - aim.kinds
          at_end = known(@on_the_day || @expected, aim.kinds) + (known(@expected, above) / ROW[:beyond])
          (at_end + (@meanwhile.sum / [@meanwhile.length, 1].max)) / (2 * @expected.length)
        end

        # @param step [Curriculum::Step]
        # @return [Float] how many children times kinds of times a lesson on it gives today
        def gain(step) = @at_first.values.sum { |child| child.gain(step) }

        private

        def aim = @goal.aim

        def known_meanwhile
          @meanwhile << (known(@expected, aim.kinds) + (known(@expected, Curriculum::KnowledgeComponents.all - aim.kinds) / ROW[:beyond]))
        end

        def known(by_child, kinds) = by_child.values.sum { |child| kinds.sum { |kind| child.known(kind) } }

        def coming = @slots.select { |slot| slot.day >= @from }

        # The last ones are spare, one in so many; those that were lost are made up for in them.
        def open_days(lost) = @slots.last([(@slots.length / ROW[:empty_every]) - lost, 0].max).map(&:day)

        def planned(slot)
          @on_the_day ||= onward(@goal.day) if slot.day > @goal.day && @goal.day >= @from
          settled = @settled[slot.day]
          return empty(slot, settled.kind, settled.how) if settled && settled.step.nil?
          return empty(slot, :open, nil) if settled.nil? && @open.include?(slot.day)

          onward(slot.day)
          Teaching::StageMinutes.plain?(slot.minutes) ? short(slot, settled) : taught(slot, settled)
        end

        # A few minutes keep what was learned; nobody learns a step in them.
        def short(slot, settled)
          step = settled&.step || course(slot.day).next_step.step || aim.step
          recap = Teaching::Recap.steps(@expected, step, before:)
          onward(slot.day, recap:)
          known_meanwhile
          task = @tasks.next(step, @expected.values)
          Planned.new(**slot.to_h, kind: :short, step:, task:, recap:, check: false, settled: settled&.how)
        end

        def empty(slot, kind, how) = Planned.new(**slot.to_h, kind:, recap: [], check: false, settled: how)

        def onward(day, **given) = @expected = @expected.transform_values { |child| child.onward(day, **given) }

        def taught(slot, settled)
          looking = long_ago?(slot.day)
          unknown = unknown?
          step, kind = settled ? [settled.step, kind_of(settled.step)] : chosen(slot.day, looking)
          recap = Teaching::Recap.steps(@expected, step, before: before)
          task = @tasks.next(step, @expected.values)
          give(slot.day, step, recap)
          known_meanwhile
          kind = :baseline if unknown
          kind = :look_back if looking
          Planned.new(**slot.to_h, kind:, step:, task:, recap:, check: check?(step, looking) && !unknown, settled: settled&.how)
        end

        # The first lesson of a class that nobody has asked anything.
        def unknown? = @lessons.empty? && @at_first.any? && @at_first.values.none?(&:any_evidence?)

        def long_ago?(day) = @lessons.any? && day - @lessons.last.day >= ROW[:gap_days]

        # @return [Array(Curriculum::Step, Symbol)]
        def chosen(day, looking)
          course = course(day)
          shaky = looking ? Teaching::Recap.steps(@expected, nil, before:).first : nil
          step = shaky || course.next_step.step
          step ? [step, kind_of(step)] : [Teaching::Recap.steps(@expected, nil, before:).first || aim.step, :recap]
        end

        def course(day)
          all = Teaching::SchemeOfWork.new(@expected, @lessons, ladder: @ladders.last)
          return all if day > @goal.day

          own = Teaching::SchemeOfWork.new(@expected, @lessons, ladder: @ladders.first, left: left(day))
          return own unless own.gone_through?

          left = own.next_step.step
          above = all.onward
          left.nil? || (above && all.worth(above) > ROW[:beyond] * own.worth(left)) ? all : own
        end

        # Lessons from this day to the aim's.
        def left(day) = @slots.count { |slot| slot.day.between?(day, @goal.day) && !@open.include?(slot.day) }

        def kind_of(step) = @lessons.any? { |lesson| lesson.step == step } ? :again : :new

        def before = @lessons.map(&:step).uniq

        def give(day, step, recap)
          onward(day, step:, recap:)
          @lessons << Teaching::SchemeOfWork::GivenLesson.new(step:, day:)
        end

        def check?(step, looking)
          share = @expected.empty? ? 0 : @expected.values.sum { |child| child.of_step(step) } / @expected.length
          due = looking || (@unchecked >= ROW[:check_apart] - 1 && share.between?(ROW[:check_from], ROW[:check_to]))
          @unchecked = due ? 0 : @unchecked + 1
          due
        end
      end
    end
  end
end
