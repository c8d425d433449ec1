# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # What the contract refuses, said so that a person can mend it.
      class Refusal
        include OpenapiFirst::ErrorResponse

        # What each kind of schema error asks for; the limit is the schema's own.
        ASKS = {
          "required" => "is missing", "string" => "must be text", "integer" => "must be a whole number", "array" => "must be a list",
          "object" => "must be an object", "pattern" => "is not in the right form", "schema" => "is not known here",
          "minLength" => "must not be empty", "maxLength" => "may have at most %<limit>s characters",
          "minItems" => "must hold at least %<limit>s", "maxItems" => "may hold at most %<limit>s",
          "minimum" => "must be at least %<limit>s", "maximum" => "may be at most %<limit>s"
        }.freeze
        GENERAL = {
          not_found: "There is nothing at this address.", method_not_allowed: "This address takes other requests.",
          unsupported_media_type: "Send JSON, with the content type application/json.",
          invalid_body: "The body is not JSON: check its brackets, commas and quotes."
        }.freeze

        def render = (error ? particular : general).to_a

        private

        def error = failure.errors&.first

        def general
          field = :body if failure.type == :invalid_body
          Problem.new(status, GENERAL.fetch(failure.type, "The request cannot be read."), field:)
        end

        def particular
          asks = format(ASKS.fetch(error.type, "cannot be taken"), limit: limit)
          Problem.new(status, "#{name} #{asks}.", field: place.first || :body)
        end

        def limit = error.schemer_error["schema"].then { |schema| schema[error.type] if schema.is_a?(Hash) }

        # `/children/1` is the second of the children.
        def place
          return error.details["missing_keys"].first(1) if error.type == "required"

          error.instance_location.split("/").drop(1)
        end

        def name
          field, at = place
          at ? "#{field}, number #{at.to_i + 1}," : (field || "The body")
        end
      end
    end
  end
end
