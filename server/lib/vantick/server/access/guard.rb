# frozen_string_literal: true

module Vantick
  module Server
    module Access
      # Who may pass at which door, as the contract's `security` says: nobody where it says nothing else but a teacher,
      # and a teacher to what is theirs.
      class Guard
        SIGN_IN = "Sign in first."
        SIT_DOWN = "Join with the class code first."
        # The field for the password of who asks.
        PRESENT = "present_password"
        # What a device is told that had a seat.
        LOST = { moved: "You are signed in on another device. If that wasn't you, tell your teacher.",
                 away: "Your teacher signed you out here. You can join again." }.freeze

        # What a teacher is told who has a class, and not for this.
        TOO_LITTLE = { teaching: "This class is lent to you. Only its own teacher can change its children and settings.",
                       keeping: "A colleague shares this class with you. Only they can hand it over or erase it." }.freeze

        def initialize(app)
          @app = app
        end

        def call(env)
          request = env[OpenapiFirst::REQUEST]
          case self.class.asks(request.operation)
          when :nothing then @app.call(env)
          when :desk then child(env)
          else teacher(env, request)
          end
        end

        # @param operation [#[]] of the contract
        # @return [Symbol] `:nothing`, `:desk` or `:teacher`
        def self.asks(operation)
          schemes = operation["security"] or return :teacher
          schemes.first ? schemes.first.keys.first.to_sym : :nothing
        end

        # @param operation [#[]] of the contract
        # @return [Symbol] what a teacher has to have of a class for it, as its `x-right` says
        def self.needs(operation) = (operation["x-right"] || Store::Shares::RIGHTS.first).to_sym

        private

        def enough?(right, operation)
          rights = Store::Shares::RIGHTS
          rights.index(right) >= rights.index(self.class.needs(operation))
        end

        # What somebody else has is said not to be there.
        def teacher(env, request)
          token = Token.of(env) unless env[SignIn::TEACHER]
          return with_token(env, request, token) if token

          account = env[SignIn::TEACHER] or return refuse(401, SIGN_IN)
          owned(env, account, request)
        rescue Store::Missing => e
          Http::Problem.new(404, e.message, field: e.field).to_a
        end

        # A program is whoever made its token, within the token's class.
        def with_token(env, request, token)
          status, words = token.refusal(request.operation)
          return refuse(status, words) if words

          token.check_class(named(request))
          owned({ **env, SignIn::TEACHER => token.account_id }, token.account_id, request)
        end

        def owned(env, account, request)
          right = env.fetch(Access::WithStore::KEY).teachers.check_owned(account, named(request))
          return refuse(403, TOO_LITTLE.fetch(right)) unless enough?(right, request.operation)

          confirmed(env, account, request) || noted(env, account, request)
        end

        # What cannot be taken back, or gives away everything, wants the present password once more (`x-confirm`).
        # @return [Array, nil] the refusal
        def confirmed(env, account, request)
          return unless request.operation["x-confirm"]

          status, words = Passwords.confirm(env, account, request.body[PRESENT])
          Http::Problem.new(status, words, field: PRESENT).to_a if words
        end

        # What a school has to be able to tell is written down where it was done (`x-journal`).
        def noted(env, account, request)
          event = request.operation["x-journal"] or return @app.call(env)
          store = env.fetch(Access::WithStore::KEY)
          class_id = named(request)["class_id"] || of_check(store, named(request)["check_id"])
          answer = @app.call(env)
          names = named(request)
          store.journal.add(event, account_id: account, class_id:, to_account_id: names["account_id"]) if answer.first < 300
          answer
        end

        def of_check(store, check_id) = check_id && store.db[:checks].where(id: check_id).get(:class_id)

        # All that a request names, wherever it names it: in its path, its query or its body.
        def named(request)
          body = request.body
          [request.path_parameters, request.query, (body if body.is_a?(Hash))].compact.reduce { |all, some| some.merge(all) }
        end

        def child(env)
          seat = Seat.of(env) or return refuse(401, LOST.fetch(Seat.lost(env), SIT_DOWN))
          @app.call({ **env, Seat::KEY => seat })
        end

        def refuse(status, detail) = Http::Problem.new(status, detail).to_a
      end
    end
  end
end
