# frozen_string_literal: true

require "yaml"

module Vantick
  module Server
    module Http
      # What the contract refuses, said so that a person can mend it.
      class Refusal
        include OpenapiFirst::ErrorResponse

        # What each kind of schema error asks for; the limit is the schema's own.
        WORDS = YAML.safe_load_file(File.join(__dir__, "refusals.yml")).freeze
        GENERAL = {
          not_found: "There is nothing at this address.", method_not_allowed: "This address takes other requests.",
          unsupported_media_type: "Send JSON, with the content type application/json.",
          invalid_body: "The body is not JSON. Check its brackets, commas and quotes."
        }.freeze

        def render = (error ? particular : general).to_a

        private

        def error = failure.errors&.first

        def general
          field = :body if failure.type == :invalid_body
          Problem.new(status, GENERAL.fetch(failure.type, "The request can't be read."), field:)
        end

        def particular
          asks = format(whole || WORDS["asks"].fetch(error.type, "can't be used"), limit:)
          Problem.new(status, whole ? asks : "#{name} #{asks}.", field: place.first || :body)
        end

        # What stands in a list is spoken of with its number, so a sentence about the whole list does not fit it.
        def whole
          WORDS.dig("whole", place.last, error.type) unless place.last.to_s.match?(/\A\d+\z/)
        end

        def limit = error.schemer_error["schema"].then { |schema| schema[error.type] if schema.is_a?(Hash) }

        def place
          return error.details["missing_keys"].first(1) if error.type == "required"

          error.instance_location.split("/").drop(1)
        end

        def name
          field, at = place
          return "What was sent" unless field
          return WORDS["fields"].fetch(field, field) unless at&.match?(/\A\d+\z/)

          format(WORDS["lines"].fetch(field, "#{field}, number %<number>d,"), number: at.to_i + 1)
        end
      end
    end
  end
end
