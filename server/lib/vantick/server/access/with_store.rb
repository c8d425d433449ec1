# frozen_string_literal: true

module Vantick
  module Server
    module Access
      # Hands the store to the parts of the API, and what is at hand of the desks.
      class WithStore
        KEY = "vantick.store"

        def initialize(app, store)
          @app = app
          @store = store
          @presence = DevicePresence.new
        end

        def call(env) = @app.call({ **env, KEY => @store, DevicePresence::KEY => @presence })
      end
    end
  end
end
