# frozen_string_literal: true

module Vantick
  module Core
    # The time that would settle a diagnosis best: the one whose answer is expected to leave the least
    # entropy among the states.
    module NextBest
      # Less probable states are left out of the sum: they add nothing that can be seen.
      SEEN_FROM = 0.001
      # Gains closer than this are alike; of these the easiest time is taken.
      ALIKE = 3

      class << self
        # @param diagnosis [Diagnosis]
        # @param task [Task]
        # @param pool [Array<DialTime>]
        # @return [DialTime, nil] nothing where the pool is empty
        def time(diagnosis, task, pool)
          shares = diagnosis.states.select { |_, share| share >= SEEN_FROM }
          pool.min_by { |time| [-expected_fall(shares, time, task).round(ALIKE), Difficulty.of(time), time] }
        end

        # @param shares [Hash{State => Float}]
        # @param time [DialTime]
        # @param task [Task]
        # @return [Float] bits
        def expected_fall(shares, time, task)
          joint = Hash.new { |outcomes, outcome| outcomes[outcome] = [] }
          shares.each { |state, share| Likelihood.outcomes(state, time, task).each { |outcome, p| joint[outcome] << (share * p) } }
          entropy(shares.values) - joint.values.sum { |parts| entropy(parts) }
        end

        private

        # The entropy of parts of a whole, times that whole.
        def entropy(parts)
          whole = parts.sum
          parts.sum { |part| part.positive? ? -part * Math.log2(part / whole) : 0.0 }
        end
      end
    end
  end
end
