# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Refuses what no part of the API could read: before anything else looks at it, and in words. What comes after may rely
      # on paths, queries and bodies in UTF-8, on queries that can be parsed, and on numbers that a database can hold.
      class WellFormed
        HOST = /\A(?:[a-z0-9_](?:[a-z0-9_.-]*[a-z0-9_.])?|\[[0-9a-f:.]+\])(?::\d{1,5})?\z/i
        LONGEST_HOST = 255
        # What comes after a % in an address: two digits of a byte.
        ESCAPES = /%(?!\h\h)/
        # Whole numbers beyond these are nobody's number here, and no place in the database takes them.
        WHOLE = (-(2**63)..((2**63) - 1))
        # Requests that read or remove have nothing to say but their address.
        WITHOUT_BODY = %w[GET HEAD DELETE OPTIONS].freeze

        # Carries what is wrong, and where.
        class Malformed < StandardError
          # @return [Symbol]
          attr_reader :field

          def initialize(message, field)
            super(message)
            @field = field
          end
        end

        def initialize(app)
          @app = app
        end

        def call(env)
          check_host(env)
          check_path(env)
          check_query(env["QUERY_STRING"].to_s)
          WITHOUT_BODY.include?(env["REQUEST_METHOD"]) ? empty(env) : tidy_body(env)
          @app.call(env)
        rescue Malformed => e
          Http::Problem.new(400, e.message, field: e.field).to_a
        end

        private

        def refuse(message, field) = raise(Malformed.new(message, field))

        def check_host(env)
          host = env["HTTP_HOST"]
          return if host.nil? || (host.length <= LONGEST_HOST && host.match?(HOST))

          refuse("The address isn't right. Check it at the top of your browser.", :host)
        end

        def check_path(env)
          path = decoded(env["PATH_INFO"].to_s)
          refuse("The address has characters that aren't letters. Type it again.", :path) unless path
        end

        def check_query(query)
          decoded(query.b.tr("+", " ")) || refuse("The part of the address after ? can't be read. Reload the page.", :query)
          Rack::Utils.parse_nested_query(query)
        rescue Rack::QueryParser::ParameterTypeError, Rack::QueryParser::InvalidParameterError, Rack::QueryParser::QueryLimitError,
               RangeError
          refuse("The part of the address after ? doesn't fit together. Reload the page.", :query)
        end

        # @return [String, nil] nothing where it is not in UTF-8, or holds what is no text
        def decoded(text)
          # As bytes: a raw one that is no letter is no reason to fall.
          text = text.b
          return if text.match?(ESCAPES)

          plain = URI::DEFAULT_PARSER.unescape(text).force_encoding(Encoding::UTF_8)
          plain if plain.valid_encoding? && !plain.include?("\u0000")
        end

        def empty(env)
          env["rack.input"] = StringIO.new
          %w[CONTENT_TYPE CONTENT_LENGTH].each { |name| env.delete(name) }
        end

        # A body that is not JSON at all is left to the contract, which says so.
        def tidy_body(env)
          input = env["rack.input"] or return empty(env)
          text = input.read.to_s.dup.force_encoding(Encoding::UTF_8)
          refuse("The body is not UTF-8 text.", :body) unless text.valid_encoding?
          found = parsed(text)
          tidy = tidied(found)
          text = JSON.generate(tidy) unless tidy.equal?(found)
          env["rack.input"] = StringIO.new(text)
          env["CONTENT_LENGTH"] = text.bytesize.to_s
        end

        def parsed(text)
          text.empty? ? nil : JSON.parse(text)
        rescue JSON::ParserError
          nil
        end

        # The same thing where nothing is to be done. `12.0` is the whole number 12.
        def tidied(value)
          case value
          when Hash then same_or(value, value.to_h { |key, inner| [text(key), tidied(inner)] })
          when Array then same_or(value, value.map { |inner| tidied(inner) })
          when String then text(value)
          when Numeric then number(value)
          else value
          end
        end

        def same_or(before, after)
          pairs = before.is_a?(Hash) ? before.values.zip(after.values) : before.zip(after)
          pairs.all? { |one, other| one.equal?(other) } ? before : after
        end

        def text(value)
          value.valid_encoding? ? value : refuse("The body has half a character in it.", :body)
        end

        def number(value)
          refuse("A number in the body is far too large.", :body) unless value.to_f.finite?
          whole = value.to_i
          value = whole if value.is_a?(Float) && whole == value
          refuse("A number in the body is far too large.", :body) unless WHOLE.cover?(whole)
          value
        end
      end
    end
  end
end
