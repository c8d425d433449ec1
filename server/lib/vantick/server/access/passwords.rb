# frozen_string_literal: true

module Vantick
  module Server
    module Access
      # Passwords of those who are signed in already: asked for once more, and set anew.
      module Passwords
        class << self
          # Whether it is who is signed in that asks, and not somebody who found the page open. Wrong ones wait as at the door.
          # @param account_id [Integer]
          # @param password [String]
          # @return [Array(Integer, String), nil] why not: a status, and words
          def confirm(env, account_id, password)
            guesses = env.fetch(SignIn::GUESSES)
            wait = guesses.wait(env, account_id)
            return [429, format(SignInSettings::WORDS[:slowly], wait: Http::Backoff.in_words(wait))] if wait.positive?

            right = env.fetch(SignIn::ACCOUNTS).internal_request_eval(account_id:) { password_match?(password) }
            return [422, SignInSettings::WORDS[:own]] unless right

            guesses.right(env, account_id)
            nil
          end

          # Another password, without the one there was; every session of the account ends.
          # @param store [Store::Database]
          # @param account_id [Integer]
          # @param password [String]
          # @raise [Core::Error] where it is none that could be chosen on screen
          def set(store, account_id, password)
            wrong = SignIn.accounts(store).internal_request_eval(account_id:) do
              next password_requirement_message.to_s unless password_meets_requirements?(password)

              set_password(password)
              remove_all_active_sessions
              nil
            end
            raise Core::Error.new(wrong, field: :password) if wrong
          end
        end
      end
    end
  end
end
