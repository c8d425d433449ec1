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

        OF_DESKS = ->(table) { ->(db, id) { db[table].where(desk_id: db[:desks].where(class_id: id).select(:id)) } }
        OF_TERMS = ->(table) { ->(db, id) { db[table].where(term_id: db[:terms].where(class_id: id).select(:id)) } }
        OF_CHECKS = ->(table) { ->(db, id) { db[table].where(check_id: db[:checks].where(class_id: id).select(:id)) } }
        OWN = ->(table) { ->(db, id) { db[table].where(class_id: id) } }
        UNANSWERED = lambda do |db, id|
          db[:items].where(check_id: db[:checks].where(class_id: id).select(:id)).exclude(id: db[:answers].select(:item_id))
        end

        ALL = [
          *(0..2).map { |at| Place.new({ scans: %i[class_id] }, ->(db, id) { Scans.rows(db, db[:scans].where(class_id: id))[at] }) },
          *%i[removed lists_taken shares calendar_addresses access_tokens].map { |table| Place.new({ table => %i[class_id] }, OWN[table]) },
          *%i[forecasts term_plans].map { |table| Place.new({ table => %i[term_id], terms: %i[class_id] }, OF_TERMS[table]) },
          Place.new({ terms: %i[class_id] }, OWN[:terms]),
          *%i[kept_groups stacks].map { |table| Place.new({ table => %i[class_id] }, OWN[table]) },
          # Erasures of its children go on to their end.
          Place.new({ jobs: %i[class_id kind] }, ->(db, id) { db[:jobs].where(class_id: id).exclude(kind: "erasure") }),
          *%i[turns seats].map { |table| Place.new({ table => %i[desk_id], desks: %i[class_id] }, OF_DESKS[table]) },
          *%i[boards desks lessons].map { |table| Place.new({ table => %i[class_id] }, OWN[table]) },
          Place.new({ answer_imports: %i[check_id], checks: %i[class_id] }, OF_CHECKS[:answer_imports]),
          Place.new({ items: %i[check_id] }, UNANSWERED),
          Place.new({ checks: %i[class_id] }, ->(db, id) { db[:checks].where(class_id: id).exclude(id: db[:items].select(:check_id)) }),
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
