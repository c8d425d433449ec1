# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What a teacher changes in the lessons to come, as {Planner} takes it. Moving and exchanging leaves all other lessons in their order;
      # what is skipped or given another step has the rest planned anew.
      class Arrangement
        KINDS = %i[move swap pin unpin skip skip_week hold set].freeze

        # @param lessons [Array<Planned>] to come, oldest first
        def initialize(lessons)
          @lessons = lessons
          @days = lessons.map(&:day)
        end

        # @param kind [Symbol] one of {KINDS}
        # @param day [Integer] of the lesson
        # @param to [Integer, nil] another day, to move it to or to exchange it with
        # @param step [Curriculum::Step, nil] to set
        # @return [Hash{Integer => Planner::Settled}]
        # @raise [Error] in a teacher's words
        def settled(kind, day:, to: nil, step: nil)
          raise UnknownName.new("change", kind, KINDS) unless KINDS.include?(kind)

          refuse("There is no lesson to change on that day.", :day) unless @days.include?(day)
          refuse("There is no lesson on the day to move it to.", :to) if %i[move swap].include?(kind) && !@days.include?(to)
          send(kind, day, to, step)
        end

        private

        def refuse(text, field) = raise(Error.new(text, field:))

        def lesson(day) = @lessons.find { |lesson| lesson.day == day }

        # A lesson as it stands.
        def as_it_stands(lesson, how = lesson.settled)
          Planner::Settled.new(step: lesson.step, kind: (lesson.kind unless lesson.taught?), how:)
        end

        def all = @lessons.to_h { |lesson| [lesson.day, as_it_stands(lesson)] }

        # What a teacher put so already, the rest being planned anew.
        def by_teacher = all.select { |_, lesson| lesson.how }

        # Those between move up by one; what is pinned or skipped stays where it is.
        def move(day, to, _step)
          refuse("Nothing is planned for that day.", :day) if lesson(day).kind == :skipped
          refuse("The lesson on that day is #{lesson(to).settled}. Choose another day, or unpin it first.", :to) if fast?(to)

          free = @days.reject { |free_day| fast?(free_day) && free_day != day }
          contents = (free - [day]).map { |free_day| as_it_stands(lesson(free_day)) }
          contents.insert(free.index(to), as_it_stands(lesson(day), :moved))
          { **all, **free.zip(contents).to_h }
        end

        def fast?(day) = %i[pinned skipped].include?(lesson(day).settled)

        def swap(day, to, _step)
          { **all, day => as_it_stands(lesson(to), :moved), to => as_it_stands(lesson(day), :moved) }
        end

        def pin(day, _to, _step) = { **all, day => as_it_stands(lesson(day), :pinned) }

        def unpin(day, _to, _step) = { **all, day => as_it_stands(lesson(day), nil) }

        def skip(day, _to, _step) = { **by_teacher, day => Planner::Settled.new(kind: :skipped, how: :skipped) }

        # All that is left of the week from Monday on.
        def skip_week(day, _to, _step)
          week = @days.select { |other| other / Days::WEEK.length == day / Days::WEEK.length }
          { **by_teacher, **week.to_h { |free| [free, Planner::Settled.new(kind: :skipped, how: :skipped)] } }
        end

        def hold(day, _to, _step) = by_teacher.except(day)

        def set(day, _to, step)
          refuse("Choose a step for that lesson.", :step) if step.nil?

          { **by_teacher, day => Planner::Settled.new(step:, how: :pinned) }
        end
      end
    end
  end
end
