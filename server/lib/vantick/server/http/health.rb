# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Whether Vantick is there. Answered before anything is asked of the database, so that it is also said while that is held.
      class Health
        PATH = "/api/health"

        def initialize(app)
          @app = app
        end

        def call(env)
          return @app.call(env) unless env["PATH_INFO"] == PATH

          [200, { "content-type" => "application/json" }, [JSON.generate(status: "ok", version: Core::VERSION)]]
        end
      end
    end
  end
end
