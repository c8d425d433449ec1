# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The lessons of a class for a calendar, and its term for a calendar and as a table.
      class Calendar < Resource
        # Lessons that are taken along (judgement: two school years).
        MOST = 400
        COLUMNS = %i[day minutes kind step recap check].freeze

        get "/api/classes/:class_id/lessons.ics" do
          content_type "text/calendar", charset: "utf-8"
          attachment "lessons.ics"
          Formats::LessonCalendar.write(store.school.sign, school_class, store.lessons.all(input[:class_id], limit: MOST), address)
        end

        get "/api/classes/:class_id/term.ics" do
          school_class
          content_type "text/calendar", charset: "utf-8"
          attachment "term.ics"
          Formats::TermCalendar.write(store.school.sign, school_class, plan, address)
        end

        get "/api/classes/:class_id/term.csv" do
          school_class
          content_type "text/csv", charset: "utf-8"
          attachment "term.csv"
          Documents::AnswerTables.rows(COLUMNS, plan.lessons.map { |lesson| row(lesson) })
        end

        private

        def school_class = store.classes.plain(input[:class_id])

        def address = ENV.fetch("VANTICK_ADDRESS") { request.base_url }

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
