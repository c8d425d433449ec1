# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # The one description of the API, that requests and responses are checked against.
      module Contract
        FILE = File.join(ROOT, "openapi.yaml")

        # @return [OpenapiFirst::Definition]
        def self.definition = @definition ||= OpenapiFirst.load(FILE)
      end
    end
  end
end
