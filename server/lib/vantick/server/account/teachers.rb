# frozen_string_literal: true

module Vantick
  module Server
    module Account
      # Who is signed in, and new accounts. Signing in and out and passwords are Rodauth's.
      class Teachers < Handler
        ELSEWHERE = "Create the first account on the computer that runs Vantick, at the address it printed there."
        THERE = "There is already an account. Sign in."
        # What a stranger sees of anybody.
        NOTHING = { name: nil, first_day: [].freeze, classes: [].freeze }.freeze

        def read_session
          first = store.teachers.none?
          { signed_in: !teacher.nil?, keeper: keeper?, **(teacher ? own : NOTHING),
            first_start: first, demo: DemoSignIn.shown, time_zone: Store::SchoolDay.zone, **countries(first) }
        end

        # What was looked at on one device is done on all.
        def mark_first_day = { first_day: store.teachers.tick(teacher, body.done) }

        # The first account: only from the machine that Vantick runs on, or whoever is quickest on the network had it.
        def make_first_account
          refuse(403, ELSEWHERE, nil) unless Http::ClientAddress.here?(env)
          refuse(409, THERE, nil) unless store.teachers.none?
          begun = store.db.transaction { store.teachers.none? && first(make(body)) && store.school.live_in(body.country) }
          refuse(409, THERE, nil) unless begun
          { name: Store::AccountNames.tidy(body.name) }
        end

        def make_teacher
          store.db.transaction { make(body) }
          { name: Store::AccountNames.tidy(body.name) }
        end

        private

        # With the classes, which every page asks for first.
        def own
          { name: store.teachers.login(teacher), first_day: store.teachers.first_day(teacher),
            classes: Views::ClassesOfTeacher.of(store, teacher) }
        end

        def countries(first)
          english = Core::Wording::English
          here = store.school.country
          { countries: first ? english::COUNTRIES.values.map { |country| country.slice(:id, :name) } : [],
            country: { **here.slice(:week, :standards), locale: english.locale(english.conventions_of(here[:id])) } }
        end

        # It takes the classes that were made before there were accounts.
        def first(account) = store.teachers.adopt(account[:id]) && true

        # @return [Hash] the account's row
        def make(wanted)
          name = Store::AccountNames.tidy(wanted.name)
          Store::AccountNames.wrong(name)&.then { |words| unfit(words, :name) }
          unfit(Store::AccountNames::TOO_LIKE, :name) if store.teachers.look_alike?(name)
          env.fetch(Access::SignIn::ACCOUNTS).create_account(login: name, password: wanted.password)
          store.teachers.find(name)
        rescue Rodauth::InternalRequestError => e
          field, words = e.field_errors.first
          unfit(words || e.message, field == "password" ? :password : :name)
        end
      end
    end
  end
end
