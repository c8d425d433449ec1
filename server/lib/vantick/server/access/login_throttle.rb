# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Access
      # Wrong passwords: how long whoever types them has to wait, and that nothing else tells a name that somebody has from one
      # that nobody has.
      class LoginThrottle
        def initialize
          @by_name = Http::Backoff.new(**SignIn::FOR_ONE_NAME)
          @by_device = Http::Backoff.new(**SignIn::FROM_ONE_DEVICE)
        end

        # @param env [Hash]
        # @param who [String, Integer] the name that was typed, or the account
        # @return [Integer] seconds to wait; 0 where the password may be looked at
        def wait(env, who)
          left = @by_device.resting(Http::ClientAddress.device(env))
          return left if left.positive?

          left = @by_name.try(key(env, who))
          left.zero? ? @by_device.try(Http::ClientAddress.device(env)) : left
        end

        # What a device guessed of others stays counted.
        def right(env, who) = @by_name.forget(key(env, who))

        # A password that could not be looked at was no wrong one.
        def give_back(env, who)
          @by_name.give_back(key(env, who))
          @by_device.give_back(Http::ClientAddress.device(env))
        end

        # Takes as long as a password that is looked at.
        # @param rodauth [Rodauth::Auth]
        def pretend(rodauth)
          @hash ||= rodauth.password_hash(SecureRandom.hex)
          rodauth.send(:password_hash_match?, @hash, rodauth.param("password"))
        end

        private

        def key(env, who) = [who.is_a?(String) ? Store::AccountNames.folded(who) : who, Http::ClientAddress.device(env)]
      end
    end
  end
end
