# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Of what a request says of itself, only what is text: a header in other bytes could be meant for nobody here, and is as
      # good as not sent.
      class PlainHeaders
        NAMES = /\A(?:HTTP_|CONTENT_TYPE\z|PATH_INFO\z|QUERY_STRING\z)/
        # Without these there is no request: what is wrong with them is said further on.
        NEEDED = %w[PATH_INFO QUERY_STRING].freeze

        def initialize(app)
          @app = app
        end

        def call(env)
          odd = env.select { |name, value| value.is_a?(String) && !value.ascii_only? && name.match?(NAMES) }
          odd.each do |name, value|
            text = value.dup.force_encoding(Encoding::UTF_8)
            text.valid_encoding? || NEEDED.include?(name) ? env[name] = text : env.delete(name)
          end
          @app.call(env)
        end
      end
    end
  end
end
