# frozen_string_literal: true

require "roda"
require "rodauth"

module Vantick
  module Server
    module Access
      # Teachers' sign-in, by Rodauth: passwords in argon2, an account that is locked for a while after repeated
      # failures, sessions that end, and all of them at once where the teacher says so.
      module SignIn
        PREFIX = "api/session"
        COOKIE = "vantick.session"
        ROUTES = %w[login logout password].map { |name| "/#{PREFIX}/#{name}" }.freeze
        # Which account is signed in; nothing where none is.
        TEACHER = "vantick.teacher"
        # The account's class, for what is done with it outside a request.
        ACCOUNTS = "vantick.accounts"
        # The wrong passwords so far.
        GUESSES = "vantick.guesses"

        # Wrong passwords for one name from one device, and from one device for any: so many are free, then come seconds of
        # rest that grow up to the last number (judgement: a slip costs nothing, guessing does). Nobody can lock another out.
        FOR_ONE_NAME = { free: 5, rest: 5, most: 900 }.freeze
        FROM_ONE_DEVICE = { free: 20, rest: 30, most: 900 }.freeze
        # Hours without use, and hours in all, after which a session ends (judgement: a school day).
        IDLE_HOURS = 4
        LONGEST_HOURS = 12
        LEAST_PASSWORD = 10

        class << self
          # @param store [Store::Database]
          # @return [Class] a Rack middleware
          def middleware(store)
            secret = store.teachers.secret
            Class.new(Roda) { SignIn.set_up(self, store.db, secret) }
          end

          # @param store [Store::Database]
          # @return [Class] what makes accounts where no request asks for it
          def accounts(store) = middleware(store).rodauth

          # @param roda [Class]
          def set_up(roda, database, secret)
            roda.plugin :middleware
            roda.plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
            roda.plugin :sessions, secret:, key: COOKIE,
                                   cookie_options: { httponly: true, same_site: :strict, path: "/" }
            guesses = LoginThrottle.new
            roda.plugin(:rodauth, json: :only) { SignIn.configure(self, database, secret, guesses) }
            roda.route { |request| SignIn.pass(request, rodauth, env, guesses) }
          end

          def pass(request, rodauth, env, guesses)
            env[ACCOUNTS] = rodauth.class
            env[GUESSES] = guesses
            env[TEACHER] = rodauth.session_value if rodauth.logged_in? && rodauth.currently_active_session?
            request.on(PREFIX) { request.rodauth } if ROUTES.include?(request.path)
          rescue Sequel::Error, Store::Busy
            guesses.give_back(env, env[TEACHER] || request.params["name"].to_s)
            raise
          end

          def configure(rodauth, database, secret, guesses)
            rodauth.instance_exec do
              enable :login, :logout, :change_password, :create_account, :active_sessions, :argon2, :json,
                     :disallow_common_passwords, :internal_request
              db database
              prefix "/#{PREFIX}"
              hmac_secret secret
            end
            SignInSettings::ALL.each { |options| settle(rodauth, options) }
            actions(rodauth)
            names(rodauth)
            guarded(rodauth, guesses)
          end

          private

          def settle(rodauth, options) = rodauth.instance_exec { options.each { |name, value| public_send(name, value) } }

          def actions(rodauth)
            rodauth.instance_exec do
              json_response_body { |found| SignIn.body(found, response, self) }
              already_logged_in { nil }
              domain { "" }
              invalid_password_message { request.path.end_with?("/password") ? SignInSettings::WORDS[:own] : SignInSettings::WORDS[:wrong] }
              password_does_not_meet_requirements_message { password_requirement_message.to_s }
              login_does_not_meet_requirements_message { login_requirement_message.to_s }
            end
          end

          # Whoever it is, by however the name was typed.
          def names(rodauth)
            rodauth.instance_exec do
              account_from_login { |login| Store::Teachers.account(db, login) }
              before_create_account { account[:folded] = Store::AccountNames.folded(account[:login]) }
              password_meets_requirements? do |password|
                name = (account && account[:login]) || param_or_nil("name")
                next super(password) unless name && Store::AccountNames.folded(name) == Store::AccountNames.folded(password)

                set_password_requirement_error_message(:password_is_the_name, SignInSettings::WORDS[:as_name])
                false
              end
            end
          end

          def guarded(rodauth, guesses)
            sign_in(rodauth, guesses)
            change_of_password(rodauth, guesses)
          end

          # A name that nobody has takes as long to be refused as one that somebody has.
          def sign_in(rodauth, guesses)
            rodauth.instance_exec do
              before_login_route { SignIn.slow_down(self, guesses.wait(request.env, param("name"))) }
              after_no_matching_login { guesses.pretend(self) }
              after_login { guesses.right(request.env, account[:login]) }
            end
          end

          def change_of_password(rodauth, guesses)
            rodauth.instance_exec do
              before_change_password_route { SignIn.slow_down(self, guesses.wait(request.env, session_value)) }
              after_change_password do
                guesses.right(request.env, session_value)
                remove_all_active_sessions_except_current
              end
            end
          end
        end

        # @param wait [Integer] seconds
        def self.slow_down(rodauth, wait)
          return unless wait.positive?

          rodauth.response.status = 429
          rodauth.response["retry-after"] = wait.to_s
          words = format(SignInSettings::WORDS[:slowly], wait: Http::Backoff.in_words(wait))
          rodauth.response.write(body({ "error" => words }, rodauth.response, rodauth))
          rodauth.request.halt
        end

        # What Rodauth answers, as the rest of the API does.
        # @return [String] JSON
        def self.body(found, response, rodauth)
          return JSON.generate(signed_in: !rodauth.logged_in?.nil?) unless found["error"] || found["field-error"]

          field, words = found["field-error"]
          problem = Http::Problem.new(response.status, words || found["error"], field: field == "name" ? "password" : field)
          response["content-type"] = Http::Problem::CONTENT_TYPE
          JSON.generate(problem.to_h)
        end
      end
    end
  end
end
