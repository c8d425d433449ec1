# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # Who is signed in, and new accounts. Signing in and out and passwords are Rodauth's.
      class Teachers < Base
        HERE = %w[127.0.0.1 ::1].freeze

        get "/api/session" do
          first = store.teachers.none?
          name = teacher && store.teachers.login(teacher)
          answer_json({ signed_in: !teacher.nil?, name:, first_start: first, demo: DemoSignIn.shown })
        end

        # The first account: only from the machine that Vantick runs on, or whoever is quickest on the network had it.
        post "/api/session/first" do
          refuse(403, "The first account is made on the machine that Vantick runs on.", nil) unless HERE.include?(request.ip)
          refuse(409, "There is an account already: sign in.", nil) unless store.teachers.none?
          make(sent)
          store.teachers.adopt(store.teachers.find(sent[:name])[:id])
          answer_json({ name: sent[:name] }, code: 201)
        end

        post "/api/teachers" do
          make(sent)
          answer_json({ name: sent[:name] }, code: 201)
        end

        private

        def make(wanted)
          env.fetch(Access::SignIn::ACCOUNTS).create_account(login: wanted[:name].strip, password: wanted[:password])
        rescue Rodauth::InternalRequestError => e
          field, words = e.field_errors.first
          unfit(words || e.message, field == "password" ? :password : :name)
        end
      end
    end
  end
end
