# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # What changes something comes from Vantick's own pages, and as JSON: no form of another site can send that.
      class SameOrigin
        READING = %w[GET HEAD OPTIONS].freeze
        FOREIGN = "This comes from another site. Open Vantick's own page."
        JSON_ONLY = "Send JSON, with the content type application/json."

        def initialize(app)
          @app = app
        end

        def call(env)
          return @app.call(env) if READING.include?(env["REQUEST_METHOD"])
          return refuse(403, FOREIGN) if foreign?(env)
          return refuse(415, JSON_ONLY) if env["REQUEST_METHOD"] != "DELETE" && !env["CONTENT_TYPE"].to_s.match?(%r{\Aapplication/json\b}i)

          @app.call(env)
        end

        private

        # A browser always says where a page that sends something comes from.
        def foreign?(env)
          origin = env["HTTP_ORIGIN"]
          origin && origin.sub(%r{\Ahttps?://}, "") != env["HTTP_HOST"]
        end

        def refuse(status, detail) = Http::Problem.new(status, detail).to_a
      end
    end
  end
end
