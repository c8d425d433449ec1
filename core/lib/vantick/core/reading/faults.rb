# frozen_string_literal: true

module Vantick
  module Core
    # How a fault is declared: in which chains, at which step, at which times, and what the step then gives.
    module Faults
      ANY = ->(_time) { true }
      TO = ->(time) { time.side == :to }
      FEW_MINUTES = ->(time) { time.minute.between?(1, 5) }

      private

      # @return [Hash{Symbol => Misreading::Fault}] the same fault in each of the chains
      def fault(chains, step, at, &bend)
        Array(chains).to_h { |chain| [chain, Misreading::Fault.new(step:, at:, bend:).freeze] }
      end
    end
  end
end
