# frozen_string_literal: true

module Vantick
  module Core
    module Judging
      # The time that would settle a diagnosis best: the one whose answer is expected to leave the least
      # entropy among the states.
      module ItemSelection
        # Less probable states are left out of the sum: they add nothing that can be seen.
        SEEN_FROM = 0.001
        # Gains closer than this are alike; of these the easiest time is taken.
        ALIKE = 3
        # Below this fall of doubt, in bits, there is nothing to settle (judgement).
        TELLING_BITS = 0.08
        # How much of the prior a belief is mixed with before it is settled: a child may have changed.
        DOUBT = 0.25
        FEW = 3
        # What to ask. @!attribute time, task, and bits that its answer is expected to tell
        Advice = Struct.new(:time, :task, :bits, keyword_init: true)

        class << self
          # @param diagnosis [Knowing::Diagnosis]
          # @param step [Step] what the child was asked last
          # @return [Advice, nil] the time and task that tell most, of all that read or set a dial and were not asked before; nothing
          #   where nothing would tell enough
          def advice(diagnosis, step)
            return if diagnosis.answers.empty? || diagnosis.verdict == "secure"

            shares = doubted(diagnosis)
            found = unasked(diagnosis, step).map do |task, time|
              Advice.new(bits: expected_fall(shares, time, task).round(ALIKE), time:, task:)
            end
            best = found.min_by { |advice| [-advice.bits, Curriculum::Difficulty.of(advice.time), advice.time] }
            best if best && best.bits >= TELLING_BITS
          end

          # @param diagnosis [Knowing::Diagnosis]
          # @param task [Task]
          # @param pool [Array<DialTime>]
          # @return [DialTime, nil] nothing where the pool is empty
          def time(diagnosis, task, pool)
            shares = diagnosis.states.select { |_, share| share >= SEEN_FROM }
            pool.min_by { |time| [-expected_fall(shares, time, task).round(ALIKE), Curriculum::Difficulty.of(time), time] }
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

          def doubted(diagnosis)
            even = diagnosis.states.keys.to_h { |state| [state, 0.0] }.merge(diagnosis.priors)
            mixed = diagnosis.states.to_h { |state, share| [state, (share * (1 - DOUBT)) + (even.fetch(state, 0.0) * DOUBT)] }
            mixed.select { |_, share| share >= SEEN_FROM }
          end

          def tasks(step)
            step.tasks.select do |task|
              (task.sees == :dial && task.tolerance_minutes.zero?) || task.notation == :hands || !step.whole?
            end
          end

          # Of the times of each minute a few: the others tell the same.
          def unasked(diagnosis, step)
            asked = diagnosis.answers.to_set { |answer| [answer.task, answer.time] }
            tasks(step).flat_map do |task|
              left = step.pool_for(task).reject { |time| time.hidden_hand? || asked.include?([task, time]) }
              left.group_by(&:minute).flat_map { |_, same| same.first(FEW).map { |time| [task, time] } }
            end
          end

          # The entropy of parts of a whole, times that whole.
          def entropy(parts)
            whole = parts.sum
            parts.sum { |part| part.positive? ? -part * Math.log2(part / whole) : 0.0 }
          end
        end
      end
    end
  end
end
