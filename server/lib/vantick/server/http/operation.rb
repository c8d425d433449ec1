# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # An operation of the contract: where it is, what comes in and with which status and type it is answered.
      class Operation
        # @return [Array<Operation>] all of the contract
        def self.all = @all ||= Contract.definition.operations.map { |operation| new(operation) }.freeze

        # @return [Symbol] its name in Ruby
        attr_reader :name
        # @return [String] `get`, `post`, `put` or `delete`
        attr_reader :verb
        # @return [String] its path as Sinatra writes it
        attr_reader :route

        # @param described [OpenapiFirst::Definition::Operation]
        def initialize(described)
          @described = described
          @name = described.operation_id.gsub(/[A-Z]/) { |letter| "_#{letter.downcase}" }.to_sym
          @verb = described.method
          @route = described.path.gsub(/\{(\w+)\}/, ':\1')
          named = [*described.path_parameters, *described.query_parameters]
          @params = Input.of("properties" => named.to_h { |parameter| parameter.values_at("name", "schema") })
          @body = Input.of(described["requestBody"]&.dig("content", "application/json", "schema") || {})
        end

        # @param env [Hash] of Rack, after the contract's check
        # @return [Input]
        def params(env) = @params.new(env[OpenapiFirst::REQUEST].params)

        # @param env [Hash] of Rack, after the contract's check
        # @return [Input]
        def body(env) = @body.new(env[OpenapiFirst::REQUEST].body || {})

        # @return [Integer] of its success
        # @raise [KeyError] where the contract has several: then whoever answers says which
        def status = successes.one? ? successes.first : raise(KeyError, "#{name} has #{successes.join(' and ')}")

        # @param status [Integer]
        # @return [String] what is sent with it
        def content_type(status)
          type = @described["responses"].dig(status.to_s, "content")&.keys&.first || "application/json"
          type.start_with?("text/") ? "#{type};charset=utf-8" : type
        end

        # @return [Array<Integer>] the statuses of its successes
        def successes = @successes ||= @described["responses"].keys.grep(/\A2/).map(&:to_i).freeze
      end
    end
  end
end
