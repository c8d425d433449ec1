# frozen_string_literal: true

module Vantick
  module Server
    module Tomorrow
      # Puts together what is printed for a lesson's day: a starter for all, a sheet for each child of each group, slips for the exit.
      class StackMaker
        # Exercises of a starter: what is done while the class comes in (judgement).
        STARTER = 6

        # @param store [Store::Database]
        # @param school_class [Store::Rows::SchoolClass]
        # @param now [String]
        def initialize(store, school_class, now:)
          @store = store
          @class = school_class
          @now = now
        end

        # The lesson is made where it is not there yet. What was put together before for the same day and has no answers goes.
        # @param found [Plan::NextLesson::Found]
        # @param groups [Array<Hash>] each with its `step` and `child_ids`
        # @param seed [Integer]
        # @return [Store::Rows::Stack]
        def make(found, groups, seed:)
          @store.db.transaction do
            forget(found.day)
            lesson, plan = lesson(found, seed)
            parts = [starter(plan, seed), *groups.map { |group| group(group, seed) }, exit_slips(lesson, plan)].compact
            @store.stacks.add(class_id: @class.id, day: found.day, lesson_id: lesson.id, parts:, made_at: @now)
          end
        end

        private

        def lesson(found, seed)
          maker = Plan::LessonMaker.new(@store, @class.id, now: @now)
          return maker.make(day: found.day, step: found.step, minutes: found.minutes, seed:) unless found.lesson_id

          row = @store.lessons.find(found.lesson_id)
          [row, maker.planned(row.plan)]
        end

        # Practice of what is gone over first; of the lesson's step where nothing is.
        def starter(plan, seed)
          step = plan.settled[:earlier].to_a.map { |id| Core::Teaching::Step.find(id) }.find { |one| kind(one) } || plan.step
          sheet("starter", step, seed, versions: "one", names: false, count: STARTER, child_ids: nil)
        end

        def group(group, seed)
          return unless group[:step] && group[:child_ids].any?

          sheet("group", Core::Teaching::Step.find(group[:step]), seed, versions: "each", child_ids: group[:child_ids])
        end

        def exit_slips(lesson, plan)
          return unless Core::Marking::Task.with_dial.include?(plan.task)

          { kind: "exit", check_id: lesson.check_id || Store::ExitCheck.make(@store, lesson, plan, @now) }
        end

        # The first kind of sheet that has exercises for a step: reading the dial wherever the step has one.
        def kind(step) = Core::Choosing::SheetKind.all.find { |kind| kind.answered? && kind.tasks_for(step).any? }

        def sheet(part, step, seed, count: nil, **settings)
          kind = kind(step) or return
          count = [count, kind.usual_count(step, kind.tasks_for(step).first)].compact.min
          maker = Sheets::SheetMaker.new(@class, { kind: kind.id.to_s, step: step.id.to_s, seed:, count:, **settings }, known:)
          check = @store.checks.add(class_id: @class.id, step: step.id.to_s, task: maker.task.id.to_s, items: maker.items,
                                    sheet: maker.settings, made_at: @now)
          { kind: part, check_id: check.id }
        end

        # What children had lately is not asked again.
        def known
          @known ||= begin
            since = (Time.iso8601(@now) - (Core::Choosing::SheetChoice::LATELY_DAYS * 86_400)).iso8601
            review_due = Store::Standings.of(@class, @store, today: Store::SchoolDay.today).by_child.transform_values(&:review_due)
            Sheets::SheetMaker::Known.new(lately: @store.checks.lately(@class.id, since), review_due:)
          end
        end

        def forget(day)
          old = @store.stacks.of_day(@class.id, day) or return
          old.parts.reject { |part| part[:kind] == "exit" }.each { |part| forget_check(part[:check_id]) }
          @store.stacks.delete(old.id)
        end

        def forget_check(id)
          check = @store.checks.find(id)
          Store::Removing.check(@store, check, @now) if @store.answers.standing([id]).fetch(id, []).empty?
        rescue Store::Missing
          nil
        end
      end
    end
  end
end
