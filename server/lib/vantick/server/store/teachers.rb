# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Store
      # Teachers' accounts, and what is whose. Passwords and sessions are Rodauth's.
      class Teachers
        # What the parameters name that can be missing.
        KINDS = { "class_id" => "class", "check_id" => "check", "lesson_id" => "lesson", "desk_id" => "desk",
                  "code" => "sheet with the code", "answer_id" => "answer",
                  "child_id" => "child", "other_id" => "child", "child_ids" => "child",
                  "item_id" => "clock", "to_class_id" => "class", "removed_id" => "deleted item", "account_id" => "account",
                  "scan_id" => "file", "scan_page_id" => "page", "piece_id" => "piece of paper",
                  "stack_id" => "stack" }.freeze
        # The tables of what parameters name.
        TABLES = {
          "class_id" => :classes, "to_class_id" => :classes, "child_id" => :children, "other_id" => :children, "child_ids" => :children,
          "check_id" => :checks, "code" => :checks, "item_id" => :items, "answer_id" => :answers, "lesson_id" => :lessons,
          "desk_id" => :desks, "stack_id" => :stacks, "removed_id" => :removed, "scan_id" => :scans, "scan_page_id" => :scan_pages,
          "piece_id" => :scan_pieces
        }.freeze
        # The columns by which they name it, where that is not its id.
        KEYS = { "code" => :code, "answer_id" => :uuid }.freeze

        def initialize(database)
          @db = database
        end

        # @return [Hash, nil] the account's row; where old ones differ by case alone, the one that is written so
        def self.account(database, login)
          database[:accounts].first(login:) || database[:accounts].first(folded: AccountNames.folded(login))
        end

        # @return [Boolean] whether there is no account yet
        def none? = @db[:accounts].empty?

        # @param login [String]
        # @return [Hash] the account's row
        # @raise [Missing]
        def find(login) = Teachers.account(@db, login.strip) || raise(Missing.new("account", login, field: "name"))

        # @return [String, nil]
        def login(id) = @db[:accounts].where(id:).get(:login)

        # @return [Array<String>] what the account has done of the first day
        def first_day(id) = JSON.parse(@db[:accounts].where(id:).get(:first_day) || "[]")

        # @param done [String] one more of it
        # @return [Array<String>] all of it
        def tick(id, done)
          @db.transaction do
            all = first_day(id) | [done]
            @db[:accounts].where(id:).update(first_day: JSON.generate(all))
            all
          end
        end

        # The first account takes the classes that were made before there were accounts.
        # @param id [Integer]
        def adopt(id) = @db[:classes].where(account_id: nil).update(account_id: id)

        # @param name [String]
        # @return [Boolean] whether another name looks like it
        def look_alike?(name)
          looks = AccountNames.looks(name)
          others = @db[:accounts].exclude(folded: AccountNames.folded(name)).select_map(:login)
          others.any? { |login| AccountNames.looks(login) == looks }
        end

        # What is another's is told from what is not there by nothing.
        # @param account_id [Integer]
        # @param named [Hash{String => Object}] what a request names, one thing or a list
        # @return [Symbol] the least that the account may do in any of these classes, one of {Shares::RIGHTS}
        # @raise [Missing] naming the first of them that is not the account's
        def check_owned(account_id, named)
          rights = named.slice(*TABLES.keys).map do |name, value|
            values = Array(value)
            right(account_id, name, values) || raise_missing(account_id, name, values)
          end
          rights.min_by { |right| Shares::RIGHTS.index(right) } || Shares::RIGHTS.last
        end

        # @param class_id [Integer]
        # @param named [Hash{String => Object}] what a request names, one thing or a list
        # @raise [Missing] naming the first of them that is in another class
        def check_class(class_id, named)
          named.slice(*TABLES.keys).each do |name, value|
            other = Array(value).find { |id| classes(name, [id]) != [class_id] }
            raise Missing.new(KINDS.fetch(name), other.to_s[0, 40], field: name) if other
          end
        end

        # @return [Array<Integer>] for each thing that is there, its class
        def classes(name, values)
          values = values.map { |code| Codes.tidy(code) } if name == "code"
          Ownership.classes(@db, TABLES.fetch(name), KEYS.fetch(name, :id), values)
        end
        private :classes

        # @return [Symbol, nil] where each of them is there, in a class that this account has
        def right(account_id, name, values)
          classes = classes(name, values)
          return if classes.length != values.uniq.length

          rights = Shares.new(@db).rights(account_id, classes)
          return if (classes - rights.keys).any?

          rights.values.min_by { |right| Shares::RIGHTS.index(right) } || Shares::RIGHTS.last
        end
        private :right

        def raise_missing(account_id, name, values)
          other = values.find { |id| !right(account_id, name, [id]) }
          raise Missing.new(KINDS.fetch(name), other.to_s[0, 40], field: name)
        end
        private :raise_missing

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
