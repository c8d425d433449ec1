# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Places
        # A column of JSON that is about several children, in rows that stay when one of them is erased.
        class Lists
          # @return [String] what is there, for a person
          attr_reader :name
          # @return [Hash{Symbol => Array<Symbol>}] the table, and the column in which a child is found
          attr_reader :columns

          # @param name [String]
          # @param column [Array(Symbol, Symbol)] table and column
          # @param held [#any?, #without, #of] how children are found in what is held there, one of {Held}
          # @param about [Array<Symbol>] columns that a copy has beside it
          # @param key [Symbol]
          def initialize(name, column, held, about, key: :id)
            @name = name
            @table, @column = column
            @columns = { @table => [@column] }.freeze
            @held = held
            @about = about
            @key = key
            freeze
          end

          # @param database [Sequel::Database]
          # @return [Boolean] whether it has such a place: one of an older Vantick may not
          def in?(database) = database.table_exists?(@table) && database[@table].columns.include?(@column)

          # @return [Integer] how many rows are about these children
          def left(database, ids) = rows_of(database, ids).length

          # @return [Array<Hash>] what is there of a child
          def copy(database, id)
            rows_of(database, [id]).flat_map { |row, held| @held.of(held, id).map { |entry| { **row.slice(*@about), **entry } } }
          end

          # Takes all of these children out.
          def erase(database, ids)
            rows_of(database, ids).each do |row, held|
              database[@table].where(@key => row[@key]).update(@column => JSON.generate(@held.without(held, ids)))
            end
          end

          private

          def rows_of(database, ids)
            rows = database[@table].exclude(@column => nil).order(@key).all
            rows.map { |row| [row, JSON.parse(row[@column], symbolize_names: true)] }.select { |_, held| @held.any?(held, ids) }
          end
        end
      end
    end
  end
end
