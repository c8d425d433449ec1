# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # Lessons of a class: planned, changed, copied, given.
      class Lessons < Handler
        def read_ladder
          Ladders.of(store, store.classes.find(params.class_id))
        end

        def list_lessons
          store.classes.find(params.class_id)
          rows = store.lessons.all(params.class_id, limit: params.limit, **params.slice(:step, :month))
          { lessons: rows.map { |row| LessonView.summary(row) } }
        end

        def plan_lesson
          lesson, plan = maker(params.class_id).make(body.day, settings(body), child_ids: of_class(body.child_ids))
          LessonView.lesson(lesson, plan)
        end

        def read_lesson
          lesson(store.lessons.find(params.lesson_id))
        end

        def change_lesson
          row = store.lessons.find(params.lesson_id)
          plan = planned(settings({ **body, **staying(row) }), row.class_id)
          changed = { day: body.day, plan: plan.settings.to_h, changed_at: now }
          LessonView.lesson(store.lessons.change(row.id, version: body.version, **changed), plan)
        end

        def remove_lesson
          Store::Removing.lesson(store, store.lessons.find(params.lesson_id), now)
        end

        # What was settled stays, pinned times too; all others are chosen anew.
        def copy_lesson
          row = store.lessons.find(params.lesson_id)
          there = store.lessons.copy_of(row.id, body.day)
          return reply(lesson(there), status: 200) if there

          reply(LessonView.lesson(*copied(row)), status: 201)
        end

        def end_lesson
          row = store.lessons.find(params.lesson_id)
          left_out = body.left_out.map { |text| Core::Dial::DialTime.parse(text).to_s }.uniq
          store.lessons.change(row.id, left_out:, given_at: now, seconds: body.seconds.map(&:to_h))
          lesson(store.lessons.find(row.id))
        end

        def open_exit
          row = store.lessons.find(params.lesson_id)
          id = row.check_id || Store::ExitCheck.make(store, row, planned(row.plan, row.class_id), now)
          reply({ check_id: id }, status: row.check_id ? 200 : 201)
        end

        private

        def lesson(row) = LessonView.lesson(row, planned(row.plan, row.class_id))

        # What a change of a lesson leaves as it is: its pace, what the last one left, and at another step what comes before that.
        def staying(row)
          plan = row.plan
          earlier = plan.step.to_s == body.step ? plan.earlier : earlier(row.class_id, body.step)
          { earlier:, pace: plan.pace, carried: plan.carried, exit_avoid: store.checks.last_times(row.class_id, body.step) }
        end

        # @return [Array(Store::Rows::Lesson, Core::Teaching::LessonPlan)]
        def copied(row)
          plan = Core::Teaching::LessonCopy.of(row.plan, body.seed, conventions(row.class_id), day_of(row.class_id))
          about = { class_id: row.class_id, child_ids: row.child_ids, copied_from: row.id }
          [store.lessons.add(**about, day: body.day, plan: plan.settings, made_at: now), plan]
        end

        # @return [Array<Integer>, nil] the children it is for; nothing for the whole class
        def of_class(child_ids)
          return if child_ids.to_a.empty?

          others = child_ids - store.classes.find(params.class_id).children.map(&:id)
          others.empty? ? child_ids.uniq : unfit("One of these children isn't in the class.", :child_ids)
        end

        def maker(class_id) = (@makers ||= {})[class_id] ||= LessonMaker.new(store, class_id, now:)

        def planned(settings, class_id) = maker(class_id).planned(settings)

        def settings(plain) = Core::Teaching::LessonSettings.of(plain)

        def earlier(class_id, step_id) = maker(class_id).earlier(step_id)

        def day_of(class_id) = store.classes.find(class_id).day

        def conventions(class_id) = store.classes.conventions(class_id)
      end
    end
  end
end
