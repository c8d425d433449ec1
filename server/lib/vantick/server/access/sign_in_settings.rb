# frozen_string_literal: true

module Vantick
  module Server
    module Access
      # What Rodauth is told: its words, its names of parameters, its limits.
      module SignInSettings
        WORDS = {
          wrong: "The name or password isn't right.",
          slowly: "Too many tries from this device. Wait %<wait>s, then try again.",
          own: "That isn't your current password.",
          taken: "There is already an account with this name. Choose another.",
          short: "Choose a password of at least #{SignIn::LEAST_PASSWORD} characters.",
          common: "This password is too easy to guess. Choose another.",
          name: Store::AccountNames::LENGTH,
          as_name: "Your password can't be your name. Choose another.",
          same: "That is your current password. Choose a new one."
        }.freeze

        ROUTES_AND_PARAMETERS = {
          create_account_route: nil, change_password_route: "password",
          login_param: "name", login_column: :login, new_password_param: "new_password", global_logout_param: "everywhere",
          only_json?: true, json_check_accept?: false, json_response_success_key: nil, create_account_autologin?: false
        }.freeze
        LIMITS = {
          require_bcrypt?: false, use_database_authentication_functions?: false, skip_status_checks?: true,
          require_password_confirmation?: false, require_login_confirmation?: false, require_email_address_logins?: false,
          login_minimum_length: Store::AccountNames::LENGTHS.min, login_maximum_length: Store::AccountNames::LENGTHS.max,
          password_minimum_length: SignIn::LEAST_PASSWORD, password_maximum_length: 200,
          set_deadline_values?: true,
          session_inactivity_deadline: SignIn::IDLE_HOURS * 3600, session_lifetime_deadline: SignIn::LONGEST_HOURS * 3600
        }.freeze
        MESSAGES = {
          login_error_flash: WORDS[:wrong], no_matching_login_message: WORDS[:wrong],
          already_an_account_with_this_login_message: WORDS[:taken], password_too_short_message: WORDS[:short],
          password_is_one_of_the_most_common_message: WORDS[:common], same_as_existing_password_message: WORDS[:same],
          login_too_short_message: WORDS[:name], login_too_long_message: WORDS[:name]
        }.freeze

        ALL = [ROUTES_AND_PARAMETERS, LIMITS, MESSAGES].freeze
      end
    end
  end
end
