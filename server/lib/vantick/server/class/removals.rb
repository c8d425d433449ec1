# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # What was removed from a class, and the way back.
      class Removals < Resource
        get "/api/classes/:class_id/removed" do
          store.classes.plain(input[:class_id])
          answer_json({ removed: store.removed.all(input[:class_id]) })
        end

        post("/api/removed/:removed_id/return") { answer_json(store.removed.bring_back(input[:removed_id])) }
      end
    end
  end
end
