# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Who else has a class: colleagues it is shared with, substitutes it is lent to, whoever it is handed over to.
      class Sharing < Handler
        def list_shares = shares

        def share_class
          check_colleague
          last_day = body.until
          unfit("This day is over. Choose today or later.", :until) if last_day && last_day < Date.jd(Store::SchoolDay.today).iso8601
          store.shares.share(params.class_id, body.account_id, last_day, now)
          shares
        end

        def end_share
          gone = store.shares.end(params.class_id, params.account_id)
          raise Store::Missing.new("account", params.account_id, field: "account_id") if gone.zero?

          shares
        end

        def transfer_class
          check_colleague
          store.shares.hand_over(params.class_id, body.account_id)
          { name: store.teachers.login(body.account_id) }
        end

        private

        def check_colleague
          return if colleagues.any? { |colleague| colleague[:id] == body.account_id }

          unfit("Choose a colleague who has an account here.", :account_id)
        end

        # All others of the school but whose it is.
        def colleagues
          owner = store.shares.owner(params.class_id)
          store.school.accounts.map { |account| account.slice(:id, :name) }.reject { |teacher| teacher[:id] == owner }
        end

        def shares = { shares: store.shares.of_class(params.class_id), colleagues: }
      end
    end
  end
end
