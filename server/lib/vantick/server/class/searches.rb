# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Looking for something in all of a teacher's classes.
      class Searches < Handler
        def search = { found: store.search(store.classes.all(of: teacher)).find(params.text) }
      end
    end
  end
end
