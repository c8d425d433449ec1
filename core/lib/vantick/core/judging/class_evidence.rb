# frozen_string_literal: true

module Vantick
  module Core
    # What the answers of a class say: of each child, and which misreading most of them share.
    class ClassEvidence
      # How one misreading shows in a class.
      # @!attribute misreading [Misreading]
      # @!attribute children [Array] keys of the children in whom it shows most
      # @!attribute hits [Integer] of those children
      # @!attribute chances [Integer] of those children
      Shared = Struct.new(:misreading, :children, :hits, :chances, keyword_init: true)

      # @return [Hash{Object => Array<Evidence>}] by child, own hits first
      attr_reader :by_child

      # @param answers [Hash{Object => Array<Marked>}] answers by child; a key is any name for a child
      def initialize(answers)
        @by_child = answers.transform_values { |given| Evidence.from(given).freeze }.freeze
        freeze
      end

      # A child counts for one misreading alone: the first of their own, where it is shown.
      # @return [Array<Shared>] the commonest first
      def shared
        found = leading.group_by { |_, evidence| evidence.misreading }.map { |misreading, children| share(misreading, children) }
        found.sort_by.with_index { |share, at| [-share.children.length, -share.hits, at] }
      end

      # @return [Shared, nil] the misreading that most children show
      def commonest = shared.first

      private

      def share(misreading, children)
        pieces = children.map(&:last)
        Shared.new(misreading:, children: children.map(&:first), hits: pieces.sum(&:hits), chances: pieces.sum(&:chances))
      end

      def leading = by_child.transform_values(&:first).select { |_, evidence| evidence&.shown? }
    end
  end
end
