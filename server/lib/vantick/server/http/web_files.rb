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
        # The first page of the teacher's side.
        TEACHERS = "/index.html"
        # The contract, to be read by people.
        DOCS = "/api/docs"

        # @param app [#call]
        # @param folder [String] of the built front end
        # @param first_asked [#addresses] of a request for a teacher's page gives what the page asks first: a browser asks it while the
        #   page's scripts come
        def initialize(app, folder, first_asked)
          @app = app
          @files = Rack::Files.new(folder)
          @first_asked = first_asked
        end

        def call(env)
          path = env["PATH_INFO"]
          return @app.call(env) if (path.start_with?("/api/") && path != DOCS) || !%w[GET HEAD].include?(env["REQUEST_METHOD"])

          file = file(path)
          return first_page(env) if file == TEACHERS

          status, headers, body = @files.call({ **env, "PATH_INFO" => file })
          [status, { **headers, "cache-control" => path.match?(NAMED) ? FOREVER : "no-cache" }, body]
        end

        private

        # It is sent whole each time: a browser that has it would go by what was named with it when somebody was signed in.
        def first_page(env)
          status, headers, body = @files.call({ **env.except("HTTP_IF_MODIFIED_SINCE"), "PATH_INFO" => TEACHERS })
          [status, { **headers.reject { |name, _| name.casecmp?("last-modified") }, "cache-control" => "no-cache", **ahead(env) }, body]
        end

        def ahead(env)
          links = @first_asked.addresses(env).map { |address| "<#{address}>; rel=preload; as=fetch; crossorigin=anonymous" }
          # Nor is it kept for the way back.
          links.empty? ? {} : { "link" => links.join(", "), "cache-control" => "no-store" }
        end

        def file(path)
          return path if path.match?(FILES)

          return "/docs.html" if path == DOCS

          DESK.include?(path) ? "/desk.html" : TEACHERS
        end
      end
    end
  end
end
