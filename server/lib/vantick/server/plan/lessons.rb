# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # Lessons of a class: planned, changed, copied, given.
      class Lessons < Resource
        get "/api/classes/:class_id/ladder" do
          answer_json(Ladders.of(store, store.classes.find(input[:class_id])))
        end

        get "/api/classes/:class_id/lessons" do
          store.classes.find(input[:class_id])
          rows = store.lessons.all(input[:class_id], limit: input.fetch(:limit, 30), **input.slice(:step, :month))
          answer_json({ lessons: rows.map { |row| LessonView.summary(row) } })
        end

        post "/api/classes/:class_id/lessons" do
          settled = { **sent.except(:child_ids), child_ids: of_class(sent[:child_ids]) }
          lesson, plan = maker(input[:class_id]).make(**settled)
          answer_json(LessonView.lesson(lesson, plan), code: 201)
        end

        get "/api/lessons/:lesson_id" do
          row = store.lessons.find(input[:lesson_id])
          answer_json(LessonView.lesson(row, planned(row[:plan], row[:class_id])))
        end

        put "/api/lessons/:lesson_id" do
          row = store.lessons.find(input[:lesson_id])
          same = row[:plan][:step].to_s == sent[:step]
          earlier = same ? row[:plan][:earlier] : earlier(row[:class_id], sent[:step])
          settled = JSON.parse(JSON.generate(sent.except(:day, :version)), symbolize_names: true)
          kept = { **row[:plan].slice(:pace), carried: row[:plan].fetch(:carried, []),
                   exit_avoid: store.checks.last_times(row[:class_id], sent[:step]) }
          plan = planned({ **settled, earlier:, **kept }, row[:class_id])
          changed = { day: sent[:day], plan: plan.settled, changed_at: now }
          answer_json(LessonView.lesson(store.lessons.change(row[:id], version: sent[:version], **changed), plan))
        end

        delete "/api/lessons/:lesson_id" do
          answer_json(Store::Removing.lesson(store, store.lessons.find(input[:lesson_id]), now))
        end

        # What was settled stays, pinned times too; all others are chosen anew.
        post "/api/lessons/:lesson_id/copies" do
          row = store.lessons.find(input[:lesson_id])
          there = store.lessons.copy_of(row[:id], sent[:day])
          halt answer_json(LessonView.lesson(there, planned(there[:plan], there[:class_id]))) if there

          plan = Core::Teaching::LessonCopy.of(row[:plan], sent[:seed], conventions(row[:class_id]), day_of(row[:class_id]))
          added = store.lessons.add(class_id: row[:class_id], day: sent[:day], plan: plan.settled, made_at: now, copied_from: row[:id],
                                    child_ids: row[:child_ids])
          answer_json(LessonView.lesson(added, plan), code: 201)
        end

        post "/api/lessons/:lesson_id/runs" do
          row = store.lessons.find(input[:lesson_id])
          left_out = sent[:left_out].map { |text| Core::Dial::DialTime.parse(text).to_s }.uniq
          store.lessons.change(row[:id], left_out:, given_at: now, seconds: sent.fetch(:seconds, []))
          answer_json(LessonView.lesson(store.lessons.find(row[:id]), planned(row[:plan], row[:class_id])))
        end

        post "/api/lessons/:lesson_id/check" do
          row = store.lessons.find(input[:lesson_id])
          id = row[:check_id] || Store::ExitCheck.make(store, row, planned(row[:plan], row[:class_id]), now)
          answer_json({ check_id: id }, code: row[:check_id] ? 200 : 201)
        end

        private

        # @return [Array<Integer>, nil] the children it is for; nothing for the whole class
        def of_class(child_ids)
          return if child_ids.to_a.empty?

          others = child_ids - store.classes.find(input[:class_id]).children.map { |child| child[:id] }
          others.empty? ? child_ids.uniq : unfit("One of these children isn't in the class.", :child_ids)
        end

        def maker(class_id) = (@makers ||= {})[class_id] ||= LessonMaker.new(store, class_id, now:)

        def planned(settled, class_id) = maker(class_id).planned(settled)

        def earlier(class_id, step_id) = maker(class_id).earlier(step_id)

        def day_of(class_id) = store.classes.find(class_id)[:day]

        def conventions(class_id) = store.classes.conventions(class_id)
      end
    end
  end
end
