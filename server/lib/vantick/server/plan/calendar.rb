# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The lessons of a class and its term for a calendar, as a file or at a private address that calendars follow; the term as a table.
      class Calendar < Resource
        COLUMNS = %i[day minutes kind step recap check].freeze

        get("/api/classes/:class_id/lessons.ics") { calendar(of_class.lessons, "lessons.ics") }

        get("/api/classes/:class_id/term.ics") { calendar(of_class.term(plan), "term.ics") }

        # Whoever has the address reads it: there is no child in it.
        get "/api/calendars/:calendar_key/lessons.ics" do
          school_class = store.classes.plain(store.calendar_addresses.class_id(input[:calendar_key]))
          calendar(ClassCalendar.new(store, school_class, address).both, "lessons.ics")
        end

        get "/api/classes/:class_id/term.csv" do
          school_class
          content_type "text/csv", charset: "utf-8"
          attachment "term.csv"
          Documents::AnswerTables.rows(COLUMNS, plan.lessons.map { |lesson| row(lesson) })
        end

        private

        def calendar(text, name)
          content_type "text/calendar", charset: "utf-8"
          attachment name
          text
        end

        def school_class = store.classes.plain(input[:class_id])

        def of_class = ClassCalendar.new(store, school_class, address)

        def plan
          term = store.terms.of_class(input[:class_id]) || raise(Store::Missing.new("term", input[:class_id]))
          TermPlanning.new(store, term, now:).current
        end

        def row(lesson)
          { **lesson.slice(:day, :minutes), kind: lesson[:kind].tr("_", " "), step: name(lesson[:step]),
            recap: lesson[:recap].map { |id| name(id) }.join(", "), check: lesson[:check] ? "yes" : "" }
        end

        def name(id) = id ? Core::Teaching::Step.find(id).name : ""
      end
    end
  end
end
