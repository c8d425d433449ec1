# frozen_string_literal: true

module Vantick
  module Server
    module Tomorrow
      # The next lesson's day as one thing: the lesson, the groups, what is on paper, and one stack of it.
      class Day < Resource
        # How much paper a stack takes is known once its pages are drawn.
        PAPER = Store::ResultCache.new

        get "/api/classes/:class_id/tomorrow" do
          answer_json(day_json)
        end

        post "/api/classes/:class_id/stacks" do
          next_one = next_lesson or unfit("Every step has been taught. There is no lesson to print.", nil)
          StackMaker.new(store, school_class, now:).make(next_one, groups, seed: sent[:seed])
          answer_json(day_json, code: 201)
        end

        # One lesson, whatever comes next.
        post "/api/lessons/:lesson_id/stack" do
          row = store.lessons.find(input[:lesson_id])
          maker = StackMaker.new(store, store.classes.find(row[:class_id]), now:)
          answer_json({ stack_id: maker.of_lesson(row, seed: row[:plan][:seed]).id }, code: 201)
        end

        private

        def school_class = @school_class ||= store.classes.find(input[:class_id])

        def next_lesson = Plan::NextLesson.new(store, school_class, now:).find

        def groups = Classes::Grouping.of(store, school_class)[:groups]

        def day_json
          one = next_lesson
          stack = one && store.stacks.of_day(school_class.id, one.day)
          { next: one&.to_h, groups:, stack: stack && stack_told(stack) }
        end

        def stack_told(stack)
          pages = DayStack.new(store, stack)
          paper = PAPER.of([store.object_id, stack.class_id], [stack.id, pages.parts]) do
            Documents::Stack::SIDES.keys.to_h { |sides| [sides, pages.paper(sides)] }.freeze
          end
          { id: stack.id, made_at: stack.made_at, paper:, parts: pages.parts }
        end
      end
    end
  end
end
