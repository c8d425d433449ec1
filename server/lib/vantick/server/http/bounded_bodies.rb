# frozen_string_literal: true

require "puma"
require "puma/client"

module Vantick
  module Server
    module Http
      # Puma takes a whole body in, on the disk, before anybody is asked. Here it stops where a body is larger than any that
      # Vantick would look at, also one that does not say how long it is; and what Puma refuses by itself is said as a problem.
      module BoundedBodies
        # Bytes. What lies between this and {Http::BodyLimit} is read and refused in words: a page that is still sending would
        # not hear them.
        MOST = 2_621_440
        WORDS = { 400 => "Vantick can't understand this request. Reload the page.",
                  413 => "This is too large to send at once. Send it in parts.",
                  500 => ErrorBoundary::OURS, 503 => ErrorBoundary::STOPPING }.freeze

        # A body that is too large.
        class TooMuch < Puma::HttpParserError
          def initialize(message = "a body of more than #{MOST} bytes") = super
        end

        # Puma has no hook for the body as it comes in, so these two of its methods are wrapped.
        module Bounded
          private

          def setup_body
            raise TooMuch if env["CONTENT_LENGTH"].to_i > MOST

            super
          end

          def write_chunk(text)
            super.tap { raise TooMuch if @chunked_content_length > MOST }
          end
        end

        # Once is enough, more does nothing.
        def self.apply
          Puma::Client.prepend(Bounded)
        end

        # @param error [Exception]
        # @param status [Integer] that Puma would answer
        # @return [Array] a Rack response
        def self.response_to(error, status)
          status = 413 if error.is_a?(TooMuch)
          Http::Problem.new(status, WORDS.fetch(status, WORDS[500])).to_a
        end
      end
    end
  end
end
