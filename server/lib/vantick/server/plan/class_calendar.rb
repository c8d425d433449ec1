# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # What a calendar is told of a class: its lessons, its term, or both.
      class ClassCalendar
        # Lessons that are taken along (judgement: two school years), and older plans whose days are told as cancelled (judgement: a term's
        # changes).
        MOST = 400
        PLANS = 60

        # @param store [Store::Database]
        # @param school_class [Store::Rows::SchoolClass]
        # @param address [String] where Vantick is looked at
        def initialize(store, school_class, address)
          @store = store
          @class = school_class
          @events = Formats::CalendarEvents.new(store.school.sign, school_class, address)
        end

        # @return [String]
        def lessons = @events.write(@events.of_lessons(prepared, off: method(:off?)), "Lessons", "telling the time")

        # @param plan [Store::Rows::TermPlan]
        # @return [String]
        def term(plan) = @events.write(@events.of_term(plan, before: before(plan)), "Term", "telling the time, the term")

        # The plan that holds, whatever has become known since; and lessons on other days than its own.
        # @return [String]
        def both
          plan = held && @store.terms.plan(held.id)
          of_term = plan ? @events.of_term(plan, before: before(plan)) : []
          days = plan.to_h.fetch(:lessons, []).map { |lesson| lesson[:day] }
          others = prepared.reject { |lesson| days.include?(lesson.day) }
          @events.write(of_term + @events.of_lessons(others, off: method(:off?)), "Calendar", "telling the time", follows: true)
        end

        private

        def prepared = @store.lessons.all(@class.id, limit: MOST)

        def held = @held ||= @store.terms.of_class(@class.id)

        def before(plan) = @store.terms.plans(plan.term_id, PLANS).reject { |earlier| earlier.id == plan.id }

        def off?(day) = held.to_h.fetch(:days_off, []).any? { |off| day.between?(off[:from], off[:to]) }
      end
    end
  end
end
