# frozen_string_literal: true

require "digest"
require "securerandom"

module Vantick
  module Server
    module Store
      # Tokens by which other programs come in, each for one class. They are shown once: what is kept is a digest.
      class AccessTokens
        # What one may be for: reading, or typing answers in as well.
        SCOPES = %w[reading typing].freeze
        # What each begins with, so that one that was left lying about is known for what it is.
        MARK = "vantick_"
        # Random bytes (so many that nobody guesses one, and no slow digest is needed).
        BYTES = 32
        # Of one class (judgement: more programs than a school has).
        MOST = 20
        COLUMNS = %i[id name scope made_at used_on].freeze

        def initialize(database)
          @db = database
        end

        # @return [Array<Hash>] the last one first, without what opens a door
        def of_class(class_id) = @db[:access_tokens].where(class_id:).reverse(:id).select(*COLUMNS).all

        # @param class_id [Integer]
        # @param account_id [Integer] in whose name it comes in
        # @param name [String] what it is for
        # @param scope [String] one of {SCOPES}
        # @param at [String]
        # @return [Array(Integer, String)] its id, and the token, which is told nobody again
        # @raise [Core::Error]
        def make(class_id, account_id, name, scope, at)
          raise ArgumentError, "no scope: #{scope}" unless SCOPES.include?(scope)

          @db.transaction do
            full = @db[:access_tokens].where(class_id:).count >= MOST
            raise Core::Error.new("This class has #{MOST} tokens. Withdraw one that nobody uses.", field: :name) if full

            token = MARK + SecureRandom.urlsafe_base64(BYTES)
            id = @db[:access_tokens].insert(class_id:, account_id:, name:, scope:, digest: digest(token), made_at: at)
            [id, token]
          end
        end

        # @raise [Missing]
        def withdraw(class_id, id)
          @db[:access_tokens].where(class_id:, id:).delete.positive? || raise(Missing.new("token", id, field: "token_id"))
        end

        # The day is written down, so that a token that nobody uses can be told.
        # @param token [String]
        # @param day [String]
        # @return [Hash, nil] `class_id`, `account_id` and `scope`
        def use(token, day)
          row = @db[:access_tokens].first(digest: digest(token)) or return
          @db[:access_tokens].where(id: row[:id]).update(used_on: day) unless row[:used_on] == day
          row.slice(:class_id, :account_id, :scope)
        end

        private

        def digest(token) = Digest::SHA256.hexdigest(token)
      end
    end
  end
end
