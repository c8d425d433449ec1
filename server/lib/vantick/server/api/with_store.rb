# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # Hands the store to the parts of the API.
      class WithStore
        KEY = "vantick.store"

        def initialize(app, store)
          @app = app
          @store = store
        end

        def call(env) = @app.call({ **env, KEY => @store })
      end
    end
  end
end
