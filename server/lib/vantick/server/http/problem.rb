# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # An error as problem details (RFC 9457), with the field it belongs to.
      class Problem
        CONTENT_TYPE = "application/problem+json"
        TITLES = { 400 => "That doesn't work", 401 => "Not signed in", 403 => "Not allowed", 404 => "Not found",
                   405 => "Not possible here", 406 => "Not possible here",
                   409 => "Already taken", 413 => "Too much at once", 415 => "JSON only",
                   422 => "That doesn't work", 429 => "Too often", 500 => "Something went wrong",
                   503 => "Not now" }.freeze

        # @param nearest [Integer, nil] a number near the one refused that can be taken
        def initialize(status, detail, field: nil, nearest: nil)
          @status = status
          @detail = detail
          @field = field
          @nearest = nearest
        end

        # @return [Hash]
        def to_h
          title = TITLES.fetch(@status, TITLES.fetch(400))
          problem = { type: "about:blank", title:, status: @status, detail: @detail, field: @field&.to_s }
          @nearest ? { **problem, nearest: @nearest } : problem
        end

        # @return [Array] a Rack response
        def to_a = [@status, { "content-type" => CONTENT_TYPE }, [JSON.generate(to_h)]]
      end
    end
  end
end
