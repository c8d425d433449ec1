# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The lessons of a class for a calendar.
      class Calendar < Resource
        # Lessons that are taken along (judgement: two school years).
        MOST = 400

        get "/api/classes/:class_id/lessons.ics" do
          content_type "text/calendar", charset: "utf-8"
          attachment "lessons.ics"
          lessons = store.lessons.all(input[:class_id], limit: MOST)
          address = ENV.fetch("VANTICK_ADDRESS") { request.base_url }
          Formats::LessonCalendar.write(store.school.sign, store.classes.plain(input[:class_id]), lessons, address)
        end
      end
    end
  end
end
