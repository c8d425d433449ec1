# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # The exercises of a sheet for one child, or for all.
      # @!attribute name [String] the child's; empty for all
      # @!attribute items [Array<Core::Choosing::SheetChoice::Item>]
      # @!attribute letter [String, nil] by which it is told from the sheets of others; none where all are the same
      # @!attribute row [Integer, nil] of the child in its class, as the sheet's code names it
      Version = Struct.new(:name, :items, :letter, :row, keyword_init: true) do
        # @return [Boolean] whether there is a name that the typeface has all letters for
        def printable? = !name.empty? && Letters.all?(name)

        # @param code [String]
        # @param page [Integer] from 1
        # @return [Finder::Name] by whom it is found: a sheet without a name goes round, and is known by its letter
        def found_as(code, page)
          Finder::Name.new(code:, child: name.empty? && letter ? letter : row.to_i.to_s, page:)
        end

        # @return [String] the sheet's code, and which of its versions this is
        def code(code) = letter ? format(Layout::WORDS[:version], code:, letter:) : code
      end
    end
  end
end
