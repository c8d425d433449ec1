# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Places
        # Rows of a table that are a child's alone.
        class Rows
          # @return [String] what is there, for a person
          attr_reader :name
          # @return [Hash{Symbol => Array<Symbol>}] tables, and the columns by which a child is found in them
          attr_reader :columns

          # @param name [String]
          # @param columns [Hash{Symbol => Array<Symbol>}] the table of the rows first
          # @param about [Array<Symbol>] the columns that a copy has
          # @yieldparam database [Sequel::Database]
          # @yieldparam ids [Array<Integer>]
          # @yieldreturn [Sequel::Dataset] the rows of these children
          def initialize(name, columns, about, &find)
            @name = name
            @columns = columns
            @about = about
            @find = find
            freeze
          end

          # @param database [Sequel::Database]
          # @return [Boolean] whether it has such a place: one of an older Vantick may not
          def in?(database) = columns.all? { |table, names| database.table_exists?(table) && (names - database[table].columns).empty? }

          # @return [Integer] how many rows there are of these children
          def left(database, ids) = @find.call(database, ids).count

          # @return [Array<Hash>] what is there of a child
          def copy(database, id) = @find.call(database, [id]).order(:id).select(*@about).all

          # Takes all of these children away.
          def erase(database, ids) = @find.call(database, ids).delete
        end
      end
    end
  end
end
