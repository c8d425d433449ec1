# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Who is away on a day, with one tap: a lesson that a child was not there for counts nowhere as given to it.
      class Presence < Resource
        get("/api/classes/:class_id/away") { answer_json(day_json(input[:day])) }

        put "/api/classes/:class_id/away" do
          unfit("This child isn't in the class. Reload the page.", :child_id) unless ids.include?(sent[:child_id])

          store.away.say(sent[:child_id], sent[:day], sent[:away], now)
          answer_json(day_json(sent[:day]))
        end

        private

        def ids = @ids ||= store.classes.find(input[:class_id]).children.map { |child| child[:id] }

        def day_json(day) = { day:, child_ids: store.away.on(ids, day) }
      end
    end
  end
end
