# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Refuses bodies far larger than anything the API takes, before they are read.
      class BodyLimit
        # Bytes (judgement: a class of forty children is under two thousand).
        MOST = 65_536
        # Lists and packages from other programs are larger (judgement: a school of a thousand children).
        MOST_OF_FILES = 900_000
        # A calendar has at most two million characters.
        MOST_OF_CALENDARS = 2_500_000
        CALENDARS = %r{/term/days-off\z}
        FILES = %r{/(?:(?:roster|package|import|child-file)-previews|roster-readings|rosters|packages|child-files|scans/\d+/parts)\z}

        def initialize(app)
          @app = app
        end

        def call(env)
          most = most(env["PATH_INFO"].to_s.b)
          return @app.call(env) if env["CONTENT_LENGTH"].to_i <= most

          Problem.new(413, "This is too large: #{env['CONTENT_LENGTH']} bytes, where #{most} is the most.", field: :body).to_a
        end

        private

        def most(path)
          return MOST_OF_CALENDARS if path.match?(CALENDARS)

          path.match?(FILES) ? MOST_OF_FILES : MOST
        end
      end
    end
  end
end
