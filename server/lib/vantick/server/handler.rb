# frozen_string_literal: true

require "base64"

module Vantick
  module Server
    # What the operations of the contract do: a subclass for each subject, with a public method for each operation, named as the
    # contract names it (`readTerm` is `read_term`). A method returns what is answered: an object for the one success that the
    # contract has, or a `Http::Reply`. What it can't do it refuses.
    class Handler
      # Addresses that only this computer reaches.
      HERE_ALONE = /\A(localhost|127\.|\[?::1)/

      # @param operation [Http::Operation]
      # @return [Boolean] whether it is answered here
      def self.answers?(operation) = public_method_defined?(operation.name, false)

      # @param env [Hash] of Rack, after the contract's check
      # @param operation [Http::Operation]
      def initialize(env, operation)
        @env = env
        @operation = operation
      end

      private

      attr_reader :env

      # @return [Http::Input] what the path and the query say
      def params = @params ||= @operation.params(env)

      # @return [Http::Input] what was sent
      def body = @body ||= @operation.body(env)

      # @raise [Core::Error] for what only the server can judge
      def unfit(message, field) = raise(Core::Error.new(message, field:))

      # @raise [Http::Refused]
      def refuse(status, detail, field, headers: {})
        raise Http::Refused.new(Http::Problem.new(status, detail, field:), headers)
      end

      # @param body [Object] an object, or a text that is sent as it is
      # @param status [Integer, nil] where the contract has several successes
      # @return [Http::Reply]
      def reply(body, status: nil, headers: {}, etag: nil) = Http::Reply.new(body:, status:, headers:, etag:)

      # @param body [Object] as for `reply`
      # @param name [String] under which it is saved
      # @return [Http::Reply]
      def file(body, name, shown: false)
        reply(body, headers: { "content-disposition" => %(#{shown ? 'inline' : 'attachment'}; filename="#{name}") })
      end

      def store = env.fetch(Access::WithStore::KEY)

      # @return [Integer, nil] the account that is signed in
      def teacher = env[Access::SignIn::TEACHER]

      # @return [Boolean] whether it is the one that keeps the school
      def keeper? = !teacher.nil? && store.school.keeper == teacher

      def keepers_only
        refuse(403, "Only whoever keeps the school can do this.", nil) unless keeper?
      end

      # @return [String] the bytes of a file that came along
      def file_sent
        Base64.strict_decode64(body.file)
      rescue ArgumentError
        unfit("The file didn't arrive whole. Choose it again.", :file)
      end

      def now = Clock.iso8601

      # @return [String] where other devices find Vantick: where it was told to listen, or where it is looked at
      def address = ENV.fetch("VANTICK_ADDRESS") { Rack::Request.new(env).base_url }

      # @return [Boolean] whether other devices can get there
      def reachable? = !URI(address).host.match?(HERE_ALONE)
    end
  end
end
