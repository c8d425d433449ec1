# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What is a class's own beside its children, the farthest first. Answers of children who moved on are theirs: they keep what was
      # asked, and the class of it has no name any more.
      module ClassRows
        # @!attribute tables [Hash{Symbol => Array<Symbol>}] tables and columns that it needs
        # @!attribute rows [Proc] of a database and the class's id: the rows
        Place = Struct.new(:tables, :rows) do
          # @return [Boolean] whether a database has it: one of an older Vantick may not
          def in?(database) = tables.all? { |table, names| database.table_exists?(table) && (names - database[table].columns).empty? }

          def delete(database, id) = rows.call(database, id).delete
        end

        OWN = lambda do |table, &but|
          Place.new(Ownership.columns(table, :classes), lambda do |db, id|
            rows = Ownership.rows(db, table, :classes, [id])
            but ? but.call(rows, db) : rows
          end)
        end
        private_constant :OWN

        ALL = [
          *%i[scan_pieces scan_pages scans removed lists_taken shares calendar_addresses access_tokens forecasts term_plans terms
              kept_groups stacks].map(&OWN),
          # Erasures of its children go on to their end.
          OWN.call(:jobs) { |jobs, _| jobs.exclude(kind: "erasure") },
          *%i[turns seats boards desks lessons answer_imports].map(&OWN),
          OWN.call(:items) { |items, db| items.exclude(id: db[:answers].select(:item_id)) },
          OWN.call(:checks) { |checks, db| checks.exclude(id: db[:items].select(:check_id)) },
          Place.new({ classes: %i[id] }, ->(db, id) { db[:classes].where(id:).exclude(id: db[:checks].select(:class_id)) })
        ].freeze
        UNNAMED = { name: "-", school: "", day: "[]", account_id: nil }.freeze

        # What children answered here who moved on is theirs: the class is nobody's and has no name.
        def self.unname(database, id)
          database[:classes].where(id:).update(UNNAMED.slice(*database[:classes].columns))
        end
      end
    end
  end
end
