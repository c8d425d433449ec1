# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What a forecast assumes of a class, and how often it plays a term.
      #
      # @!attribute learning [Teaching::Learning]
      # @!attribute away [Float] 0..1, how often a child of this class is away
      # @!attribute desks [Array<Integer>] days on which each child has ten minutes at a desk
      # @!attribute runs [Integer]
      # @!attribute seed [Integer]
      Assumptions = Struct.new(:learning, :away, :desks, :runs, :seed, keyword_init: true) do
        def initialize(learning: Teaching::Learning.guessed, away: NUMBERS[:forecast][:away], desks: [],
                       runs: NUMBERS[:forecast][:runs], seed: 1)
          super
          freeze
        end
      end
    end
  end
end
