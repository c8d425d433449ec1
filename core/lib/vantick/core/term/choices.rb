# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What is chosen for a plan, in place of what it would have by itself.
      #
      # @!attribute settled [Hash{Integer => Planner::Settled}] by day, what a teacher settled
      # @!attribute without [Array<Curriculum::Step>] steps to leave out
      # @!attribute order [Teaching::Order] the class's
      Choices = Struct.new(:settled, :without, :order, keyword_init: true) do
        def initialize(settled: {}, without: [], order: Teaching::Order.usual)
          super
          freeze
        end
      end
    end
  end
end
