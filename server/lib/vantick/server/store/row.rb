# frozen_string_literal: true

require "dry-struct"

module Vantick
  module Server
    module Store
      # A row that leaves the store: frozen, compared by what it holds, a name that is none raises. Columns of JSON are plain data
      # in it. Tables are strict, so what they hold is taken as it is; a spec holds the types that are written here against them.
      class Row < Dry::Struct
        # What a column or what is found beside it can be.
        module Types
          include Dry.Types(default: :strict)

          Text = String
          Number = Integer
        end

        class << self
          # @param names [Array<Symbol>] columns that hold JSON
          def json(*names) = @json = names

          # @param row [Hash] by column
          # @param beside [Hash] what stands in no column
          # @return [Row]
          def of(row, **beside)
            found = { **row, **beside }.slice(*attribute_names)
            @json&.each { |name| found[name] = JSON.parse(found[name], symbolize_names: true, freeze: true) if found[name].is_a?(::String) }
            load(found.freeze).freeze
          end
        end

        # @return [Hash] as it is, rows in it as rows
        def to_hash = attributes

        # @param changes [Hash]
        # @return [Row] another one, with these
        def with(**changes) = self.class.of(attributes, **changes)

        # @return [Hash]
        def slice(*names) = attributes.slice(*names)

        # @return [Array]
        def values_at(*names) = attributes.values_at(*names)

        def to_json(*given) = to_h.to_json(*given)
      end
    end
  end
end
