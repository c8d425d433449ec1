# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # The exercises of a sheet for one child, or for all.
      # @!attribute name [String] the child's; empty for all
      # @!attribute items [Array<Core::Choosing::SheetChoice::Item>]
      Version = Struct.new(:name, :items, keyword_init: true)
    end
  end
end
