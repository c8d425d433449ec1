# frozen_string_literal: true

module Vantick
  module Server
    module Account
      # The school as a whole, for whoever made it: who has an account, and its copies.
      class School < Handler
        def read_school
          { keeper: keeper?, **(keeper? ? whole : NOTHING) }
        end

        def remove_account
          account = known
          unfit("This is your own account. Hand the school over to a colleague first.", :account_id) if account == teacher
          to = body.classes_to
          check_heir(account, to)
          store.school.remove(account, to)
          accounts
        end

        def set_password
          Access::Passwords.set(store, known, body.password)
          accounts
        end

        # What everybody else is told.
        NOTHING = { accounts: [], copied_at: nil, copies: [], proved: nil, journal: [], erasures: nil }.freeze

        private

        def whole
          { accounts: store.school.accounts, copied_at: store.school.copied_at, copies: Work::DailyCopies.all(store),
            proved: store.school.proved_copy, journal: store.journal.last,
            erasures: Views::JobView.jobs(store, Work::Erasure::KIND, class_id: nil) }
        end

        def accounts = { accounts: store.school.accounts }

        # To all others there is none.
        def known
          id = params.account_id
          keeper? && store.school.account?(id) ? id : raise(Store::Missing.new("account", id, field: "account_id"))
        end

        def check_heir(account, to)
          classes = store.school.accounts.find { |teacher| teacher[:id] == account }[:classes]
          return if classes.zero? && to.nil?
          return if to && to != account && store.school.account?(to)

          unfit("Choose who gets the classes of this account.", :classes_to)
        end
      end
    end
  end
end
