# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # Makes the lessons of a class: what is gone over first comes from the term or from where the class stands, and what was not
      # reached last time is carried on.
      class LessonMaker
        # @param store [Store::Database]
        # @param class_id [Integer]
        # @param now [String]
        def initialize(store, class_id, now:)
          @store = store
          @class = store.classes.find(class_id)
          @now = now
        end

        # @param day [String]
        # @param settings [Core::Teaching::LessonSettings] what a teacher settles: step, minutes, seed, and what else there is
        # @param child_ids [Array<Integer>, nil] for whom it is, where it is not for all
        # @return [Array(Store::Rows::Lesson, Core::Teaching::LessonPlan)]
        # @raise [Core::Error]
        def make(day, settings, child_ids: nil)
          step = settings.step
          task = settings.task || planned_lesson(day, step)&.fetch(:task, nil) || task_in_turn(step)
          plan = planned(settings.with(task:, **kept_lesson(day, step)))
          [@store.lessons.add(class_id: @class.id, day:, plan: plan.settings, made_at: @now, child_ids:), plan]
        end

        # @param settings [Core::Teaching::LessonSettings]
        # @return [Core::Teaching::LessonPlan]
        def planned(settings) = Core::Teaching::LessonPlan.new(settings, @class.wording, @class.day)

        # @param step [String]
        # @return [String, nil] what a lesson on it is to ask: words and digits take turns, first what the class knows less of
        def task_in_turn(step)
          expected = progress.by_child.values.map(&:expected)
          turns = Core::Term::TaskTurns.new(first: progress.order.notation)
          tasks = Array.new(2) { turns.next(Core::Curriculum::Step.find(step), expected) }
          last = @store.lessons.all(@class.id, limit: 1, step:).first
          (tasks.find { |task| task.to_s != last&.plan&.task.to_s } || tasks.first)&.to_s
        end

        # @return [Array<Symbol>] steps below whose review is due or that are not secure in this class
        def earlier(step_id) = progress.to_go_over(Core::Curriculum::Step.find(step_id)).map(&:id)

        private

        def kept_lesson(day, step)
          carried = @store.lessons.last_given(@class.id)&.left_out.to_a
          { earlier: planned_lesson(day, step)&.fetch(:recap) || earlier(step), kept: { recap: carried }, carried:,
            exit_avoid: @store.checks.last_times(@class.id, step), pace: @store.lessons.pacing(@class.id).own }
        end

        def progress = @progress ||= Store::ProgressCache.of(@class, @store, today: Store::SchoolDay.today)

        # What the term's plan has on that day, where it is about the same step.
        def planned_lesson(day, step)
          term = @store.terms.of_class(@class.id)
          lessons = term ? @store.terms.plan(term.id).to_h.fetch(:lessons, []) : []
          lessons.find { |lesson| lesson[:day] == day && lesson[:step] == step }
        end
      end
    end
  end
end
