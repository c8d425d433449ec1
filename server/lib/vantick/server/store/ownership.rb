# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What belongs to what. Who may see a thing, what an erasure takes, what goes with a class and what lies together in the trash are
      # found by this one list, so that they cannot disagree.
      module Ownership
        CLASS = { class_id: :classes }.freeze
        CHILD = { child_id: :children }.freeze
        ANSWER = { answer_id: :answers }.freeze
        TERM = { term_id: :terms }.freeze
        # Of each table the columns that name an owner, the nearest first: an answer is its child's, and after that its clock's.
        OWNERS = {
          children: CLASS, said: CHILD, away: CHILD, support_plans: CHILD,
          checks: CLASS, answer_imports: { check_id: :checks }, items: { check_id: :checks, **CHILD },
          answers: { **CHILD, item_id: :items }, overrules: ANSWER, tries: ANSWER,
          desks: { **CLASS, check_id: :checks }, seats: { desk_id: :desks, **CHILD }, turns: { desk_id: :desks, **CHILD },
          scans: CLASS, scan_pages: { scan_id: :scans, **CHILD }, scan_pieces: { scan_page_id: :scan_pages, **CHILD },
          lessons: CLASS, boards: CLASS, stacks: CLASS, kept_groups: CLASS, terms: CLASS, term_plans: TERM, forecasts: TERM,
          removed: CLASS, lists_taken: CLASS, shares: CLASS, calendar_addresses: CLASS, access_tokens: CLASS, jobs: CLASS
        }.freeze
        private_constant :CLASS, :CHILD, :ANSWER, :TERM

        class << self
          # @param table [Symbol]
          # @param owner [Symbol] a table that rows of it can belong to
          # @param ids [Array<Integer>, Sequel::Dataset] of owners
          # @return [Sequel::Dataset] the rows that are theirs
          # @raise [ArgumentError] where none of its rows can be
          def rows(database, table, owner, ids)
            path(table, owner).reverse.reduce(ids) do |theirs, (from, column)|
              database[from].where(column => theirs.is_a?(Sequel::Dataset) ? theirs.select(:id) : theirs)
            end
          end

          # @param key [Symbol] the column by which rows are named
          # @param values [Array]
          # @return [Array<Integer>] for each row that there is, the class that it belongs to
          def classes(database, table, key, values)
            found = database[table].where(Sequel[table][key] => values)
            return found.select_map(:id) if table == :classes

            *between, (last, column) = path(table, :classes)
            between.each { |from, by| found = found.join(OWNERS.fetch(from).fetch(by), id: Sequel[from][by]) }
            found.select_map(Sequel[last][column])
          end

          # @return [Hash{Symbol => Array<Symbol>}] tables and columns by which rows of a table are found
          def columns(table, owner) = path(table, owner).to_h.transform_values { |column| [column] }

          private

          # @return [Array(Symbol, Symbol)] table and column, from the rows to the owner
          def path(table, owner)
            way(table, owner) || raise(ArgumentError, "rows of #{table} belong to none of #{owner}")
          end

          def way(table, owner)
            OWNERS.fetch(table, {}).each do |column, parent|
              rest = parent == owner ? [] : way(parent, owner)
              return [[table, column], *rest] if rest
            end
            nil
          end
        end
      end
    end
  end
end
