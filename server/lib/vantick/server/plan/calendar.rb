# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The lessons of a class and its term for a calendar, as a file or at a private address that calendars follow; the term as a table.
      class Calendar < Handler
        COLUMNS = %i[day minutes kind step recap check].freeze

        def export_lessons = file(of_class.lessons, "lessons.ics")

        def export_term_calendar = file(of_class.term(plan), "term.ics")

        # Whoever has the address reads it: there is no child in it.
        def follow_calendar
          school_class = store.classes.plain(store.calendar_addresses.class_id(params.calendar_key))
          file(ClassCalendar.new(store, school_class, address).both, "lessons.ics")
        end

        def export_term_table
          school_class
          file(Documents::AnswerTables.rows(COLUMNS, plan.lessons.map { |lesson| row(lesson) }), "term.csv")
        end

        private

        def school_class = store.classes.plain(params.class_id)

        def of_class = ClassCalendar.new(store, school_class, address)

        def plan
          term = store.terms.of_class(params.class_id) || raise(Store::Missing.new("term", params.class_id))
          TermPlanning.new(store, term, now:).current
        end

        def row(lesson)
          { **lesson.slice(:day, :minutes), kind: lesson[:kind].tr("_", " "), step: name(lesson[:step]),
            recap: lesson[:recap].map { |id| name(id) }.join(", "), check: lesson[:check] ? "yes" : "" }
        end

        def name(id) = id ? Core::Curriculum::Step.find(id).name : ""
      end
    end
  end
end
