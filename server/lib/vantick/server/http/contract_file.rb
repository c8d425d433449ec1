# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # The contract itself, as JSON, for programs and for the page that shows it.
      class ContractFile
        PATH = "/api/openapi.json"

        def initialize(app)
          @app = app
        end

        def call(env)
          return @app.call(env) unless env["PATH_INFO"] == PATH && %w[GET HEAD].include?(env["REQUEST_METHOD"])

          [200, { "content-type" => "application/json" }, [text]]
        end

        private

        def text = @text ||= JSON.generate(YAML.safe_load_file(Contract::FILE, aliases: true)).freeze
      end
    end
  end
end
