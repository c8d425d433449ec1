# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Checks, lessons and desks that were made by mistake. Their rows leave their tables, so that nothing has to leave them out,
      # and lie together until they are brought back, or until it is too late for that.
      class Trash
        # Days for which they can be brought back.
        DAYS = 30
        # The tables that hold a thing, itself first.
        TREES = {
          check: %i[checks items answer_imports desks answers overrules tries seats turns],
          lesson: %i[lessons],
          desk: %i[desks seats turns]
        }.freeze
        # What points at a thing from outside of it, and is pointed there again.
        POINTERS = {
          check: [%i[lessons check_id]],
          lesson: [%i[desks lesson_id], %i[lessons copied_from]],
          desk: []
        }.freeze

        def initialize(database)
          @db = database
        end

        # @param kind [Symbol] `:check`, `:lesson` or `:desk`
        # @param thing [Row]
        # @param about [Hash] what it was, in short
        # @param at [String]
        # @param as [Symbol] what it is told as, where that is another kind
        # @return [Rows::TrashItem]
        def put(kind, thing, about, at, as: kind)
          @db.transaction do
            rows = JSON.generate({ pointing: let_go(kind, thing.id), tables: taken(kind, thing.id) })
            about = JSON.generate(about)
            find(@db[:removed].insert(class_id: thing.class_id, kind: as.to_s, thing_id: thing.id, about:, rows:, removed_at: at))
          end
        end

        # @return [Rows::TrashItem]
        # @raise [Missing]
        def find(id) = Rows::TrashItem.of(@db[:removed].first(id:) || raise(Missing.new("deleted item", id)))

        # @return [Array<Rows::TrashItem>] the last one first
        def all(class_id) = @db[:removed].where(class_id:).reverse(:id).map { |row| Rows::TrashItem.of(row) }

        # @param class_id [Integer]
        # @param code [String] of a sheet
        # @return [Boolean] whether its check was removed, and can be brought back
        def coded?(class_id, code)
          @db[:removed].where(class_id:).where(Sequel.like(:rows, "%\"code\":\"#{Codes.tidy(code)}\"%")).any?
        end

        # All of it as it was, but for what is gone since.
        # @return [Rows::TrashItem]
        # @raise [Missing]
        def bring_back(id)
          @db.transaction do
            row = @db[:removed].first(id:) || raise(Missing.new("deleted item", id))
            kept = JSON.parse(row[:rows], symbolize_names: true)
            kept[:tables].each { |table, rows| insert(table, rows) }
            point_again(kept[:pointing], row[:thing_id])
            @db[:removed].where(id:).delete
            Rows::TrashItem.of(row)
          end
        end

        # @param now [Time]
        def forget_old(now)
          oldest = (now - (DAYS * 86_400)).utc.iso8601
          @db[:removed].where { removed_at < oldest }.delete
        end

        private

        # @return [Array] what pointed at it and points nowhere now
        def let_go(kind, id)
          POINTERS.fetch(kind).map do |table, column|
            rows = @db[table].where(column => id)
            ids = rows.select_map(:id)
            rows.update(column => nil)
            [table, column, ids]
          end
        end

        # @return [Hash{Symbol => Array<Hash>}] its rows, which are in no table any more
        def taken(kind, id)
          rows = rows(kind, id)
          found = rows.transform_values { |some| some.order(:id).all }
          rows.values.reverse_each(&:delete)
          found
        end

        def rows(kind, id)
          own, *others = TREES.fetch(kind)
          { own => @db[own].where(id:), **others.to_h { |table| [table, Ownership.rows(@db, table, own, [id])] } }
        end

        def point_again(pointing, id)
          pointing.each do |table, column, ids|
            @db[table.to_sym].where(id: ids, column.to_sym => nil).update(column.to_sym => id)
          end
        end

        # What a row points at may be gone by now: an optional pointer then points nowhere, a row that needs it is gone as well.
        def insert(table, rows)
          rows.each do |row|
            row = row.slice(*@db[table].columns)
            gone = references(table).select { |column, to| row[column] && @db[to].where(id: row[column]).none? }
            next if gone.any? { |column, _| needed?(table, column) }

            row = { **row, **gone.to_h { |column, _| [column, nil] } }
            @db[table].insert(**row, **other_code(table, row))
          end
        end

        # A code that somebody else has got meanwhile.
        def other_code(table, row)
          return {} unless row[:code] && @db[table].where(code: row[:code]).any?

          { code: (table == :checks ? Codes.method(:of_sheet) : Codes.method(:fresh)).call { |code| @db[table].where(code: code).any? } }
        end

        def references(table)
          (@references ||= {})[table] ||= @db.foreign_key_list(table).to_h do |key|
            [key[:columns].first, key[:table]]
          end
        end

        def needed?(table, column) = !@db.schema(table).to_h.fetch(column)[:allow_null]
      end
    end
  end
end
