# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Looking for something in all of a teacher's classes.
      class Searches < Resource
        get("/api/search") { answer_json({ found: store.search(store.classes.all(of: teacher)).find(input[:text]) }) }
      end
    end
  end
end
