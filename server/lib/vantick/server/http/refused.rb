# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # An operation that is not done, and why.
      class Refused < StandardError
        # @return [Http::Problem]
        attr_reader :problem
        # @return [Hash{String => String}] more than a problem's own headers
        attr_reader :headers

        # @param problem [Http::Problem]
        # @param headers [Hash{String => String}]
        def initialize(problem, headers = {})
          @problem = problem
          @headers = headers
          super(problem.to_h[:detail])
        end
      end
    end
  end
end
