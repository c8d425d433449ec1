# frozen_string_literal: true

module Vantick
  module Server
    module Tomorrow
      # Puts together what is printed for a lesson's day: a starter for all, a sheet for each child of each group, slips for the exit.
      class StackMaker
        # Exercises of a starter.
        STARTER = Core::Teaching::TeachingNumbers.of(:starter_exercises)

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
            put_together(*lesson(found, seed), groups, seed)
          end
        end

        # For one lesson, whatever comes next: everybody works on its own clocks.
        # @param row [Store::Rows::Lesson]
        # @return [Store::Rows::Stack] what is there already for the lesson as it stands, else a new one
        def of_lesson(row, seed:)
          there = @store.stacks.of_lesson(row)
          return there if there

          @store.db.transaction { put_together(row, maker.planned(row.plan), [], seed) }
        end

        private

        def put_together(lesson, plan, groups, seed)
          parts = [starter(plan, seed), *alone(lesson, plan, groups, seed), exit_slips(lesson, plan)].compact
          @store.stacks.add(class_id: @class.id, day: lesson.day, lesson_id: lesson.id, parts:, made_at: @now)
        end

        def maker = @maker ||= Plan::LessonMaker.new(@store, @class.id, now: @now)

        def lesson(found, seed)
          settings = Core::Teaching::LessonSettings.of(step: found.step, minutes: found.minutes, seed:)
          return maker.make(found.day, settings) unless found.lesson_id

          row = @store.lessons.find(found.lesson_id)
          [row, maker.planned(row.plan)]
        end

        # Practice of what is gone over first; of the lesson's step where nothing is.
        def starter(plan, seed)
          step = plan.settings.earlier.map { |id| Core::Curriculum::Step.find(id) }.find { |candidate| kind(candidate) } || plan.step
          sheet("starter", step, seed, versions: "one", names: false, count: STARTER, child_ids: nil)
        end

        # A sheet for each group; whoever is in none has the lesson's own clocks.
        def alone(lesson, plan, groups, seed)
          parts = groups.filter_map { |group| group(group, seed) if group[:step] && group[:child_ids].any? }
          [*parts, lesson_sheet(lesson, plan, seed, groups.filter_map { |group| group[:child_ids] if group[:step] }.flatten)].compact
        end

        def group(group, seed)
          sheet("group", Core::Curriculum::Step.find(group[:step]), seed, versions: "each", help: "record", child_ids: group[:child_ids])
        end

        def lesson_sheet(lesson, plan, seed, served)
          own = (lesson.child_ids || @class.children.map(&:id)) - served
          own.any? ? Sheets::LessonSheet.new(@store, @class, plan, now: @now).part(own, seed:) : nil
        end

        def exit_slips(lesson, plan)
          return unless Core::Tasks::Task.with_dial.include?(plan.task)

          { kind: "exit", check_id: lesson.check_id || Store::ExitCheck.make(@store, lesson, plan, @now) }
        end

        # The first kind of sheet that has exercises for a step: reading the dial wherever the step has one.
        def kind(step) = Core::Choosing::SheetKind.all.find { |kind| kind.answered? && kind.tasks_for(step).any? }

        def sheet(part, step, seed, count: nil, **settings)
          kind = kind(step) or return
          count = [count, kind.usual_count(step, kind.tasks_for(step).first)].compact.min
          settled = { kind: kind.id.to_s, step: step.id.to_s, seed:, count:, **settings }
          maker = Sheets::SheetMaker.new(@class, settled, known: known(step))
          check = @store.checks.add(class_id: @class.id, step: step.id.to_s, task: maker.task.id.to_s, items: maker.items,
                                    sheet: maker.settings, made_at: @now)
          { kind: part, check_id: check.id }
        end

        # What children had lately is not asked again.
        def known(step)
          review_due = progress.by_child.transform_values(&:review_due)
          Sheets::SheetMaker::Known.new(lately:, review_due:, levels: progress.levels(step),
                                        adjustments: @store.register.adjustments(@class.id))
        end

        def lately
          since = (Time.iso8601(@now) - (Core::Choosing::SheetChoice::LATELY_DAYS * 86_400)).iso8601
          @lately ||= @store.checks.lately(@class.id, since)
        end

        def progress = @progress ||= Store::ProgressCache.of(@class, @store, today: Store::SchoolDay.today)

        def forget(day)
          old = @store.stacks.of_day(@class.id, day) or return
          old.parts.each { |part| forget_check(part[:check_id]) if part[:check_id] && part[:kind] != "exit" }
          @store.stacks.delete(old.id)
        end

        def forget_check(id)
          check = @store.checks.find(id)
          Store::Removing.check(@store, check, @now) if @store.answers.current([id]).fetch(id, []).empty?
        rescue Store::Missing
          nil
        end
      end
    end
  end
end
