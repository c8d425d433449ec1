# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Who has which class, beside whose it is: a colleague who shares it has the same rights but to give it away; a substitute
      # teaches in it until a day, and changes neither children nor settings.
      class Shares
        # From the least to the most.
        RIGHTS = %i[teaching keeping owning].freeze

        def initialize(database)
          @db = database
        end

        # @param account_id [Integer]
        # @param class_ids [Array<Integer>]
        # @return [Hash{Integer => Symbol}] by class one of {RIGHTS}; nothing where there is none
        def rights(account_id, class_ids)
          own = @db[:classes].where(id: class_ids, account_id:).select_map(:id).to_h { |id| [id, :owning] }
          shared = current.where(class_id: class_ids, account_id:).as_hash(:class_id, :last_day)
          shared.transform_values { |last_day| last_day ? :teaching : :keeping }.merge(own)
        end

        # @param account_id [Integer]
        # @return [Hash{Integer => Hash}] by class whose it is, what may be done in it, and until when
        def of_account(account_id)
          rows = current.join(:classes, id: Sequel[:shares][:class_id]).left_join(:accounts, id: Sequel[:classes][:account_id])
          rows.where(Sequel[:shares][:account_id] => account_id).select_map([Sequel[:shares][:class_id], :login, :last_day])
              .to_h { |id, of, until_day| [id, { of:, right: until_day ? :teaching : :keeping, until: until_day }] }
        end

        # @return [Array<Hash>] with whom a class is shared, by name
        def of_class(class_id)
          current.join(:accounts, id: :account_id).where(class_id:).order(:login)
                 .select_map(%i[account_id login last_day]).map { |id, name, day| { account_id: id, name:, until: day } }
        end

        # @return [Integer, nil] the account whose it is
        def owner(class_id) = @db[:classes].where(id: class_id).get(:account_id)

        # @param last_day [String, nil] of a substitute; nothing for a colleague who stays
        def share(class_id, account_id, last_day, at)
          @db[:shares].insert_conflict(target: %i[class_id account_id], update: { last_day: })
                      .insert(class_id:, account_id:, last_day:, made_at: at)
        end

        def end(class_id, account_id) = @db[:shares].where(class_id:, account_id:).delete

        # The class is another's from now on.
        def hand_over(class_id, account_id)
          @db.transaction do
            @db[:shares].where(class_id:, account_id:).delete
            @db[:classes].where(id: class_id).update(account_id:)
          end
        end

        private

        # Those that are over are none.
        def current
          today = Date.jd(SchoolDay.today).iso8601
          @db[:shares].where(Sequel.|({ last_day: nil }, Sequel[:last_day] >= today))
        end
      end
    end
  end
end
