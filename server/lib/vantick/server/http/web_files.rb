# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Serves the built front end; every address that is not the API's gets the first page of the teacher's side, or of the children's.
      class WebFiles
        # Names here change with their content.
        NAMED = %r{\A/assets/|\A/voice/\w+\.mp3\z}
        # What lies there as it is; every other address is a page's.
        FILES = %r{\A/(?:assets|voice)/|\A/favicon\.svg\z}
        FOREVER = "public, max-age=31536000, immutable"
        # Its address, and the one of before.
        DESK = %w[/join /join/ /desk /desk/].freeze
        # The contract, to be read by people.
        DOCS = "/api/docs"

        def initialize(app, folder)
          @app = app
          @files = Rack::Files.new(folder)
        end

        def call(env)
          path = env["PATH_INFO"]
          return @app.call(env) if (path.start_with?("/api/") && path != DOCS) || !%w[GET HEAD].include?(env["REQUEST_METHOD"])

          status, headers, body = @files.call({ **env, "PATH_INFO" => file(path) })
          [status, { **headers, "cache-control" => path.match?(NAMED) ? FOREVER : "no-cache" }, body]
        end

        private

        def file(path)
          return path if path.match?(FILES)

          return "/docs.html" if path == DOCS

          DESK.include?(path) ? "/desk.html" : "/index.html"
        end
      end
    end
  end
end
