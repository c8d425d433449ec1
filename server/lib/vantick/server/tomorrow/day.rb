# frozen_string_literal: true

module Vantick
  module Server
    module Tomorrow
      # The next lesson's day as one thing: the lesson, the groups, what is on paper, and one stack of it.
      class Day < Handler
        # How much paper a stack takes is known once its pages are drawn.
        PAPER = Store::ResultCache.new

        def read_tomorrow
          day_json
        end

        def make_stack
          next_one = next_lesson or unfit("Every step has been taught. There is no lesson to print.", nil)
          StackMaker.new(store, school_class, now:).make(next_one, groups, seed: body.seed)
          day_json
        end

        # One lesson, whatever comes next.
        def make_lesson_stack
          row = store.lessons.find(params.lesson_id)
          maker = StackMaker.new(store, store.classes.find(row.class_id), now:)
          { stack_id: maker.of_lesson(row, seed: row.plan.seed).id }
        end

        private

        def school_class = @school_class ||= store.classes.find(params.class_id)

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
