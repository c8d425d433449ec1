# frozen_string_literal: true

module Vantick
  module Core
    module Judging
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

        # @param answers [Hash{Object => Array<MarkedAnswer>}] answers by child; a key is any name for a child
        def initialize(answers)
          @by_child = answers.transform_values { |given| Evidence.from(given).freeze }.freeze
          freeze
        end

        # What is news: one hit is chance, and so is one child. A child counts for one misreading alone: the first of their own.
        NEWS = { hits: 2, children: 2 }.freeze

        # @return [Array<Shared>] the commonest first
        def shared
          found = leading.group_by { |_, evidence| evidence.misreading }.map { |misreading, children| share(misreading, children) }
          found = found.select { |shared| shared.children.length >= NEWS[:children] }
          found.sort_by.with_index { |share, at| [-share.children.length, -share.hits, at] }
        end

        # @return [Hash{Misreading => Array}] keys of the children in whom each shows most, also of one alone
        def showing = leading.group_by { |_, evidence| evidence.misreading }.transform_values { |children| children.map(&:first) }

        # @return [Shared, nil] the misreading that most children show
        def commonest = shared.first

        private

        def share(misreading, children)
          pieces = children.map(&:last)
          Shared.new(misreading:, children: children.map(&:first), hits: pieces.sum(&:hits), chances: pieces.sum(&:chances))
        end

        # By child the first of those with hits enough.
        def leading = by_child.transform_values { |found| found.find { |evidence| news?(evidence) } }.compact

        def news?(evidence) = evidence.hits >= NEWS[:hits] && evidence.often?
      end
    end
  end
end
