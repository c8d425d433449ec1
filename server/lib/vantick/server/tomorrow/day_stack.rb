# frozen_string_literal: true

module Vantick
  module Server
    module Tomorrow
      # All that is printed for a day, in the order in which it is handed out: a cover, the lesson, the starter, each group's sheets, the
      # slips, and the answers to all of it.
      class DayStack
        # @param store [Store::Database]
        # @param stack [Store::Rows::Stack]
        def initialize(store, stack)
          @store = store
          @stack = stack
          @class = store.classes.find(stack.class_id)
        end

        # @param sides [String] one of {Documents::Stack::SIDES}
        # @return [Array<Documents::Page>]
        def pages(sides)
          stacks = sheets.map { |part| Documents::Stack.new(part[:sheet], part: "sheets", sides:).pages }
          every = [first_pages(sides, stacks), *stacks, *answers]
          # What follows begins on paper of its own: nobody gets somebody else's page on the back.
          [*every[0...-1].flat_map { |some| filled(some, sides) }, *every.last]
        end

        # @return [Integer] sheets of paper
        def paper(sides) = (pages(sides).length / Documents::Stack::SIDES.fetch(sides).to_f).ceil

        # @return [Array<Hash>] what is in it, as a page tells it
        def parts
          sheets.map { |part| { kind: part[:kind], check_id: part[:check_id], title: part[:sheet].title, code: part[:sheet].code } }
        end

        # @return [String]
        def title = format(Documents::DayPages::TEXT[:title], step: name, day: day)

        private

        def day = Core::Wording::English.day(Date.iso8601(@stack.day), @class.wording)

        def lesson = @lesson ||= @store.lessons.find(@stack.lesson_id)

        def name
          step = Core::Curriculum::Step.find(lesson.plan.step)
          Core::Teaching::LessonPlan.title(step, Core::Tasks::Task.find(lesson.plan.task), @class.wording)
        end

        # Without what was removed since.
        def sheets = @sheets ||= @stack.parts.filter_map { |part| sheet(part) }

        def sheet(part)
          return { **part, sheet: material(part[:material]), names: [] } if part[:material]

          check = @store.checks.find(part[:check_id])
          printing = Pages::Printing.of_check(check, @class)
          { **part, sheet: printing.drawn_sheet(check), names: printing.children.map(&:name) }
        rescue Store::Missing, Core::Error
          nil
        end

        def material(settings) = Sheets::SheetMaker.new(@class, settings).sheet(made_at: @stack.made_at)

        def answers = sheets.map { |part| part[:sheet].answer_pages }.reject(&:empty?)

        def filled(pages, sides)
          over = -pages.length % Documents::Stack::SIDES.fetch(sides)
          pages + Array.new(over) { Documents::Page.new(size: [pages.first.width, pages.first.height]) }
        end

        # How much of it there is depends on the cover's own length, which is one page.
        def first_pages(sides, stacks)
          plan = Plan::LessonMaker.new(@store, @class.id, now: @stack.made_at).planned(lesson.plan)
          size = Core::Wording::English.paper(@class.wording)
          own = Documents::DayPages.new(paper: size).lesson(title, plan, adjusted:).pages
          about = format(Documents::DayPages::TEXT[:about], class: @class.name, minutes: lesson.plan.minutes)
          cover = Documents::DayPages.new(paper: size).cover(title, about, entries(sides, stacks, own.length))
          cover.pages + own
        end

        def adjusted
          set = @store.register.adjustments(@class.id)
          @class.children.select { |child| set.key?(child.id) }.to_h { |child| [child.name, set[child.id]] }
        end

        def entries(sides, stacks, own_pages)
          on = Documents::Stack::SIDES.fetch(sides).to_f
          parts = sheets.zip(stacks).map { |part, pages| [part[:kind].to_sym, about(part), pages.length] }
          all = [[:cover, {}, own_pages + 1], *parts, [:answers, {}, answers.sum { |pages| (pages.length / on).ceil * on }]]
          all.map { |kind, words, length| Documents::DayPages::Entry.new(kind:, about: words, paper: (length / on).ceil) }
        end

        def about(part)
          groups = sheets.select { |sheet| sheet[:kind] == "group" }
          { title: part[:sheet].title, count: @class.children.length, number: groups.index(part).to_i + 1, names: part[:names].join(", ") }
        end
      end
    end
  end
end
