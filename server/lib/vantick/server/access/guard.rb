# frozen_string_literal: true

module Vantick
  module Server
    module Access
      # Who may pass at which door, as the contract's `security` says: nobody where it says nothing else but a teacher,
      # and a teacher to what is theirs.
      class Guard
        SIGN_IN = "Sign in first."
        SIT_DOWN = "Join with the class code first."
        # What a device is told that had a seat.
        LOST = { moved: "You sit at another device now. Was that not you? Tell your teacher.",
                 away: "Your teacher has ended your seat here. You can join again." }.freeze

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

        private

        # What somebody else has is said not to be there.
        def teacher(env, request)
          account = env[SignIn::TEACHER] or return refuse(401, SIGN_IN)
          env.fetch(Access::WithStore::KEY).teachers.check_owned(account, named(request))
          @app.call(env)
        rescue Store::Missing => e
          Http::Problem.new(404, e.message, field: e.field).to_a
        end

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
