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
        ROUTES = %w[login logout password].map { |name| "/#{PREFIX}/#{name}" }.freeze
        # Which account is signed in; nothing where none is.
        TEACHER = "vantick.teacher"
        # The account's class, for what is done with it outside a request.
        ACCOUNTS = "vantick.accounts"

        # Wrong passwords in a row until the account is locked, and minutes for which it is (judgement).
        MOST_FAILURES = 10
        LOCKED_MINUTES = 15
        # Hours without use, and hours in all, after which a session ends (judgement: a school day).
        IDLE_HOURS = 4
        LONGEST_HOURS = 12
        LEAST_PASSWORD = 10

        WORDS = {
          wrong: "The name or the password is not right.",
          locked: "Too many wrong passwords: this account opens again in #{LOCKED_MINUTES} minutes.",
          own: "This is not your password of now.",
          taken: "There is an account of this name already: choose another.",
          short: "Choose a password of at least #{LEAST_PASSWORD} characters.",
          common: "This password is one of the first that anybody would try: choose another.",
          name: "A name has 2 to 40 characters.",
          same: "This is the password you have: choose another."
        }.freeze

        ROUTES_AND_PARAMETERS = {
          create_account_route: nil, unlock_account_route: nil, unlock_account_request_route: nil, change_password_route: "password",
          login_param: "name", login_column: :login, new_password_param: "new_password", global_logout_param: "everywhere",
          only_json?: true, json_check_accept?: false, json_response_success_key: nil, create_account_autologin?: false
        }.freeze
        LIMITS = {
          require_bcrypt?: false, require_mail?: false, use_database_authentication_functions?: false, skip_status_checks?: true,
          require_password_confirmation?: false, require_login_confirmation?: false, require_email_address_logins?: false,
          login_minimum_length: 2, login_maximum_length: 40, password_minimum_length: LEAST_PASSWORD, password_maximum_length: 200,
          set_deadline_values?: true, max_invalid_logins: MOST_FAILURES, account_lockouts_email_last_sent_column: nil,
          session_inactivity_deadline: IDLE_HOURS * 3600, session_lifetime_deadline: LONGEST_HOURS * 3600
        }.freeze
        MESSAGES = {
          login_error_flash: WORDS[:wrong], no_matching_login_message: WORDS[:wrong], login_lockout_error_flash: WORDS[:locked],
          already_an_account_with_this_login_message: WORDS[:taken], password_too_short_message: WORDS[:short],
          password_is_one_of_the_most_common_message: WORDS[:common], same_as_existing_password_message: WORDS[:same],
          login_too_short_message: WORDS[:name], login_too_long_message: WORDS[:name]
        }.freeze

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
            roda.plugin :sessions, secret:, key: "vantick.session",
                                   cookie_options: { httponly: true, same_site: :strict, path: "/" }
            roda.plugin(:rodauth, json: :only) { SignIn.configure(self, database, secret) }
            roda.route { |request| SignIn.pass(request, rodauth, env) }
          end

          def pass(request, rodauth, env)
            env[ACCOUNTS] = rodauth.class
            env[TEACHER] = rodauth.session_value if rodauth.logged_in? && rodauth.currently_active_session?
            request.on(PREFIX) { request.rodauth } if ROUTES.include?(request.path)
          end

          def configure(rodauth, database, secret)
            rodauth.instance_exec do
              enable :login, :logout, :change_password, :create_account, :lockout, :active_sessions, :argon2, :json,
                     :disallow_common_passwords, :internal_request
              db database
              prefix "/#{PREFIX}"
              hmac_secret secret
            end
            [ROUTES_AND_PARAMETERS, LIMITS, MESSAGES].each { |options| settle(rodauth, options) }
            actions(rodauth)
          end

          private

          def settle(rodauth, options) = rodauth.instance_exec { options.each { |name, value| public_send(name, value) } }

          def actions(rodauth)
            rodauth.instance_exec do
              json_response_body { |found| SignIn.body(found, response, self) }
              already_logged_in { nil }
              send_unlock_account_email { nil }
              account_lockouts_deadline_interval(minutes: LOCKED_MINUTES)
              domain { "" }
              after_change_password { remove_all_active_sessions_except_current }
              invalid_password_message { request.path.end_with?("/password") ? WORDS[:own] : WORDS[:wrong] }
              password_does_not_meet_requirements_message { password_requirement_message.to_s }
              login_does_not_meet_requirements_message { login_requirement_message.to_s }
            end
          end
        end

        # What Rodauth answers, as the rest of the API does.
        # @return [String] JSON
        def self.body(found, response, rodauth)
          return JSON.generate(signed_in: !rodauth.logged_in?.nil?) unless found["error"] || found["field-error"]

          field, words = found["field-error"]
          problem = Api::Problem.new(response.status, words || found["error"], field: field == "name" ? "password" : field)
          response["content-type"] = Api::Problem::CONTENT_TYPE
          JSON.generate(problem.to_h)
        end
      end
    end
  end
end
