# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # How a fault is declared: in which chains, at which step, at which times, and what the step then gives.
      module Faults
        ANY = ->(_time) { true }
        TO = ->(time) { time.side == :to }
        FEW_MINUTES = ->(time) { time.minute.between?(1, 5) }
        HALF = ->(time) { time.minute == 30 }
        A_QUARTER = ->(time) { [15, 45].include?(time.minute) }
        # Minutes that are still minutes of a clock with their digits changed over; those of {FEW_MINUTES} are a matter of the nought.
        TWO_DIGITS = ->(time) { time.minute > 5 && turned_round(time.minute).between?(0, 59) && turned_round(time.minute) != time.minute }

        # @param minute [Integer] 0..59
        # @return [Integer] 54 for 45
        def self.turned_round(minute) = (minute % 10 * 10) + (minute / 10)

        private

        # @return [Hash{Symbol => Misreading::Fault}] the same fault in each of the chains
        def fault(chains, step, at, &bend)
          Array(chains).to_h { |chain| [chain, Misreading::Fault.new(step:, at:, bend:).freeze] }
        end
      end
    end
  end
end
