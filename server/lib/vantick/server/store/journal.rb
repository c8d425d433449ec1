# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What was done that a school has to be able to tell: who erased, moved, lent, exported, or set a password, and when. No child is
      # named in it, and no answer.
      class Journal
        EVENTS = %w[child_erased class_erased child_moved class_shared class_handed_over exported copy_taken list_taken list_taken_back
                    password_set account_removed token_made token_withdrawn calendar_shared calendar_withdrawn
                    school_list_taken school_list_taken_back retention_applied].freeze
        # Days for which it is kept (judgement: a school year and the summer after it), and lines that are shown.
        DAYS = 420
        SHOWN = 50

        def initialize(database)
          @db = database
        end

        # @param event [String] one of {EVENTS}
        # @param account_id [Integer] who did it
        # @param class_id [Integer, nil] in which class
        # @param to_account_id [Integer, nil] to whose account
        def add(event, account_id:, class_id: nil, to_account_id: nil)
          raise ArgumentError, "no event: #{event}" unless EVENTS.include?(event)

          @db[:journal].insert(at: Clock.iso8601, event:, account_id:, class_id:, to_account_id:)
        end

        # @return [Array<Hash>] the last one first; accounts and classes by the names they have now, none where they are gone
        def last
          accounts = @db[:accounts].select_hash(:id, :login)
          classes = @db[:classes].exclude(name: ClassRows::UNNAMED[:name]).select_hash(:id, :name)
          @db[:journal].reverse(:id).limit(SHOWN).map do |row|
            { at: row[:at], event: row[:event], by: accounts[row[:account_id]], to: accounts[row[:to_account_id]],
              class_name: classes[row[:class_id]] }
          end
        end

        # @param now [Time]
        def forget_old(now)
          oldest = (now - (DAYS * 86_400)).utc.iso8601
          @db[:journal].where { at < oldest }.delete
        end
      end
    end
  end
end
