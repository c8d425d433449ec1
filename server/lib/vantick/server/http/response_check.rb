# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Checks responses against the contract as they go out. What is no JSON has no schema. What never changes, and what a whole
      # class waits for at once (`x-response-check: specs`), is checked by the specs alone.
      class ResponseCheck
        def initialize(app)
          @app = app
          @checked = OpenapiFirst::Middlewares::ResponseValidation.new(app, spec: Contract.definition)
        end

        def call(env) = (checked?(env[OpenapiFirst::REQUEST].operation) ? @checked : @app).call(env)

        private

        def checked?(operation)
          return false if operation["x-response-check"] == "specs"

          types = operation["responses"].values.flat_map { |response| response["content"].to_h.keys }
          types.none? { |type| !type.end_with?("json") }
        end
      end
    end
  end
end
