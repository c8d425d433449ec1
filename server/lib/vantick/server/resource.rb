# frozen_string_literal: true

require "base64"

module Vantick
  module Server
    # What the parts of the API share: typed input, JSON out, and errors as problem details.
    class Resource < Sinatra::Base
      # Who may, from where, and what a mistake of ours is told as: each stands in one place before and round all parts.
      CHANGED = "This lesson was changed in another window. Reload, then make your change again."

      # Addresses that only this computer reaches.
      HERE_ALONE = /\A(localhost|127\.|\[?::1)/

      disable :static, :logging, :dump_errors, :protection, :sessions
      set :show_exceptions, false
      set :raise_errors, true
      set :host_authorization, { permitted_hosts: [] }

      error(Core::Error) { |e| refuse(422, e.message, e.field, nearest: (e.nearest if e.is_a?(Core::InvalidCount))) }
      error(Store::Missing) { |e| refuse(404, e.message, e.field) }
      error(Store::Answers::IdTaken) { refuse(409, "This id was used for another answer.", :id) }
      error(Store::Turns::Answered) { refuse(409, "This task is already answered. Go on to the next.", :turn_id) }
      error(Store::Lessons::ChangedMeanwhile) { refuse(409, CHANGED, :version) }
      error(Sinatra::NotFound) { refuse(404, Http::ErrorBoundary::GENERAL.fetch(404), nil) }
      error(Sinatra::BadRequest) { refuse(400, Http::ErrorBoundary::UNCLEAR, nil) }

      private

      # @return [Core::Error] for what only the server can judge
      def unfit(message, field) = raise(Core::Error.new(message, field:))

      def refuse(status, detail, field, nearest: nil)
        code, headers, body = Http::Problem.new(status, detail, field:, nearest:).to_a
        halt code, headers, body
      end

      def store = env.fetch(Access::WithStore::KEY)

      # @return [Integer, nil] the account that is signed in
      def teacher = env[Access::SignIn::TEACHER]

      # @return [Boolean] whether it is the one that keeps the school
      def keeper? = !teacher.nil? && store.school.keeper == teacher

      def keepers_only
        refuse(403, "Only whoever keeps the school can do this.", nil) unless keeper?
      end

      # @return [Hash{Symbol => Object}] parameters of path and query, or the body, typed as the contract says
      def input = env[OpenapiFirst::REQUEST].params.transform_keys(&:to_sym)

      def sent = env[OpenapiFirst::REQUEST].body.transform_keys(&:to_sym)

      # @return [String] the bytes of a file that came along
      def file_sent
        Base64.strict_decode64(sent[:file])
      rescue ArgumentError
        unfit("The file didn't arrive whole. Choose it again.", :file)
      end

      def now = Clock.iso8601

      # @return [String] where other devices find Vantick: where it was told to listen, or where it is looked at
      def address = ENV.fetch("VANTICK_ADDRESS") { request.base_url }

      # @return [Boolean] whether other devices can get there
      def reachable? = !URI(address).host.match?(HERE_ALONE)

      def answer_json(object, code: 200)
        content_type :json
        status code
        JSON.generate(object)
      end
    end
  end
end
