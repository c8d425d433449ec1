# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Refuses bodies far larger than anything the API takes, before they are read.
      class BodyLimit
        # Bytes (judgement: a class of forty children is under two thousand).
        MOST = 65_536

        def initialize(app)
          @app = app
        end

        def call(env)
          return @app.call(env) if env["CONTENT_LENGTH"].to_i <= MOST

          Problem.new(413, "The request has #{env['CONTENT_LENGTH']} bytes: at most #{MOST} can be taken.", field: :body).to_a
        end
      end
    end
  end
end
