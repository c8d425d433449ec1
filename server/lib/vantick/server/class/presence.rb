# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Who is away on a day, with one tap: a lesson that a child was not there for counts nowhere as given to it.
      class Presence < Handler
        def read_away = day_json(params.day)

        def set_away
          unfit("This child isn't in the class. Reload the page.", :child_id) unless ids.include?(body.child_id)

          store.away.say(body.child_id, body.day, body.away, now)
          day_json(body.day)
        end

        private

        def ids = @ids ||= store.classes.find(params.class_id).children.map(&:id)

        def day_json(day) = { day:, child_ids: store.away.on(ids, day) }
      end
    end
  end
end
