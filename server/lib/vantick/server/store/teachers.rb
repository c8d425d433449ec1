# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Store
      # Teachers' accounts, and what is whose. Passwords and sessions are Rodauth's.
      class Teachers
        # Where the class stands that something belongs to, by the parameter that names it.
        CLASS_OF = {
          "class_id" => ->(db, id) { db[:classes].where(id:).select_map(:id) },
          "check_id" => ->(db, id) { db[:checks].where(id:).select_map(:class_id) },
          "lesson_id" => ->(db, id) { db[:lessons].where(id:).select_map(:class_id) },
          "desk_id" => ->(db, id) { db[:desks].where(id:).select_map(:class_id) },
          "code" => ->(db, code) { db[:checks].where(code: Codes.tidy(code)).select_map(:class_id) },
          "answer_id" => ->(db, uuid) { db[:answers].join(:children, id: :child_id).where(uuid:).select_map(:class_id) }
        }.freeze

        def initialize(database)
          @db = database
        end

        # @return [Boolean] whether there is no account yet
        def none? = @db[:accounts].empty?

        # @param login [String]
        # @return [Hash] the account's row
        # @raise [Missing]
        def find(login) = @db[:accounts].first(login: login.strip) || raise(Missing.new("account", login, field: "name"))

        # @return [String, nil]
        def login(id) = @db[:accounts].where(id:).get(:login)

        # The first account takes the classes that were made before there were accounts.
        # @param id [Integer]
        def adopt(id) = @db[:classes].where(account_id: nil).update(account_id: id)

        # @param account_id [Integer]
        # @param parameters [Hash{String => Object}] of the path
        # @return [Boolean] whether all that they name, and that is there, belongs to the account
        def owns?(account_id, parameters)
          classes = parameters.filter_map { |name, value| CLASS_OF[name]&.call(@db, value) }.flatten
          @db[:classes].where(id: classes).exclude(account_id:).empty?
        end

        # @return [String] what sessions are sealed with: the same for as long as the school's file is there
        def secret
          @db.transaction do
            @db[:secrets].get(:secret) || SecureRandom.hex(64).tap { |secret| @db[:secrets].insert(secret:) }
          end
        end
      end
    end
  end
end
