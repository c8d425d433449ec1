# frozen_string_literal: true

module Vantick
  module Server
    module Access
      # Another program that comes in with a token of a class (RFC 6750), and what it may do: what the contract's `security` says of the
      # token's scope, and nothing beyond the class.
      class Token
        HEADER = "HTTP_AUTHORIZATION"
        BEARER = /\ABearer +(\S{1,200})\z/i
        UNKNOWN = "This token isn't known here. It may have been withdrawn."
        NOT_FOR_THIS = "Tokens aren't for this. Sign in to do it."
        READS_ONLY = "This token may read, but not type anything in."

        # @param env [Hash]
        # @return [Token, nil] the one that came along; nothing where none did
        def self.of(env)
          found = BEARER.match(env[HEADER].to_s) or return
          new(env.fetch(WithStore::KEY), found[1])
        end

        # @param operation [#[]] of the contract
        # @return [Array<String>] scopes that it is open to
        def self.scopes(operation) = operation["security"].to_a.filter_map { |scheme| scheme["token"] }.flatten

        # @param store [Store::Database]
        # @param token [String]
        def initialize(store, token)
          @store = store
          @row = store.access_tokens.use(token, Date.jd(Store::SchoolDay.today).iso8601)
        end

        # @return [Integer] in whose name it comes
        def account_id = @row[:account_id]

        # @param operation [#[]] of the contract
        # @return [Array(Integer, String), nil] status and words, where it may not
        def refusal(operation)
          return [401, UNKNOWN] unless @row

          scopes = self.class.scopes(operation)
          return if scopes.include?(@row[:scope])

          [403, scopes.empty? ? NOT_FOR_THIS : READS_ONLY]
        end

        # @param named [Hash{String => Object}] what a request names
        # @raise [Store::Missing] for whatever is in another class
        def check_class(named) = @store.teachers.check_class(@row[:class_id], named)
      end
    end
  end
end
