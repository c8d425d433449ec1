# frozen_string_literal: true

module Vantick
  module Server
    module Account
      # The school as a whole, for whoever made it: who has an account, and its copies.
      class School < Resource
        get "/api/school" do
          found = { keeper: keeper?, accounts: [], copied_at: nil, copies: [] }
          found.update(accounts: store.school.accounts, copied_at: store.school.copied_at, copies: Work::DailyCopies.all(store)) if keeper?
          answer_json(found)
        end

        post "/api/accounts/:account_id/removal" do
          account = known
          unfit("This is your own account: a colleague has to keep the school first.", :account_id) if account == teacher
          to = sent[:classes_to]
          check_heir(account, to)
          store.school.remove(account, to)
          accounts
        end

        post "/api/accounts/:account_id/password" do
          Access::SignIn.set_password(store, known, sent[:password])
          accounts
        end

        private

        def keeper? = store.school.keeper == teacher

        def accounts = answer_json({ accounts: store.school.accounts })

        # To all others there is none.
        def known
          id = input[:account_id]
          keeper? && store.school.account?(id) ? id : raise(Store::Missing.new("account", id, field: "account_id"))
        end

        def check_heir(account, to)
          classes = store.school.accounts.find { |one| one[:id] == account }[:classes]
          return if classes.zero? && to.nil?
          return if to && to != account && store.school.account?(to)

          unfit("Say who gets the classes of this account.", :classes_to)
        end
      end
    end
  end
end
