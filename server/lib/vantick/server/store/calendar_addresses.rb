# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Store
      # The private address of a class's calendar: whoever has it reads the lessons, and nothing of a child.
      class CalendarAddresses
        # Random bytes of an address (as long as a session's secret: nobody guesses it).
        BYTES = 18

        def initialize(database)
          @db = database
        end

        # @return [String, nil] its key
        def of_class(class_id) = @db[:calendar_addresses].where(class_id:).get(:key)

        # A new one; the one before leads nowhere any more.
        # @param at [String]
        # @return [String] its key
        def make(class_id, at)
          key = SecureRandom.urlsafe_base64(BYTES)
          row = { class_id:, key:, made_at: at }
          @db[:calendar_addresses].insert_conflict(target: :class_id, update: row.slice(:key, :made_at)).insert(row)
          key
        end

        def withdraw(class_id) = @db[:calendar_addresses].where(class_id:).delete

        # @param key [String]
        # @return [Integer] the id of its class
        # @raise [Missing] also where the class was put away
        def class_id(key)
          found = @db[:calendar_addresses].join(:classes, id: :class_id).where(key:,
                                                                               archived_at: nil).get(Sequel[:calendar_addresses][:class_id])
          found || raise(Missing.new("calendar", "at this address", field: "calendar_key"))
        end
      end
    end
  end
end
