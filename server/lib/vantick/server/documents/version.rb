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

        # @return [String] the sheet's code, and which of its versions this is
        def code(code) = letter ? format(Layout::WORDS[:version], code:, letter:) : code
      end
    end
  end
end
