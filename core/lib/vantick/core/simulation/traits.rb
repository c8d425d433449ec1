# frozen_string_literal: true

module Vantick
  module Core
    module Simulation
      # How a made-up child learns and forgets.
      #
      # @!attribute rates [Range, nil] of the chance to learn in a lesson, where it is not the class's
      # @!attribute half [Range] of half-lives, in days; with a power of time they only give its pace
      # @!attribute longest [Float] half-life in days, however often it is practised
      # @!attribute power [Float] 0..1, how many forget by a power of time
      # @!attribute misreadings [Array<Symbol>, nil] those it begins with; by lot where left out
      # @!attribute unlearns [Float] how readily it gives one up in a lesson, where 1 is usual
      Traits = Struct.new(:rates, :half, :longest, :power, :misreadings, :unlearns, keyword_init: true) do
        # @param parts [Hash{Symbol => Object}] by name; the usual stands for the rest
        # @raise [ArgumentError] where there is no such part
        def initialize(**parts)
          super(half: 8..30, longest: 150.0, power: 0.4, unlearns: 1.0, **parts)
          freeze
        end
      end
    end
  end
end
