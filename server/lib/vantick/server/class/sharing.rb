# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Who else has a class: colleagues it is shared with, substitutes it is lent to, whoever it is handed over to.
      class Sharing < Resource
        get("/api/classes/:class_id/shares") { answer_json(shares) }

        post "/api/classes/:class_id/shares" do
          check_colleague
          last_day = sent[:until]
          unfit("This day is over. Choose today or later.", :until) if last_day && last_day < Date.jd(Store::SchoolDay.today).iso8601
          store.shares.share(input[:class_id], sent[:account_id], last_day, now)
          answer_json(shares)
        end

        delete "/api/classes/:class_id/shares/:account_id" do
          gone = store.shares.end(input[:class_id], input[:account_id])
          raise Store::Missing.new("account", input[:account_id], field: "account_id") if gone.zero?

          answer_json(shares)
        end

        post "/api/classes/:class_id/owner" do
          check_colleague
          store.shares.hand_over(input[:class_id], sent[:account_id])
          answer_json({ name: store.teachers.login(sent[:account_id]) })
        end

        private

        def check_colleague
          return if colleagues.any? { |one| one[:id] == sent[:account_id] }

          unfit("Choose a colleague who has an account here.", :account_id)
        end

        # All others of the school but whose it is.
        def colleagues
          owner = store.shares.owner(input[:class_id])
          store.school.accounts.map { |one| one.slice(:id, :name) }.reject { |one| one[:id] == owner }
        end

        def shares = { shares: store.shares.of_class(input[:class_id]), colleagues: }
      end
    end
  end
end
