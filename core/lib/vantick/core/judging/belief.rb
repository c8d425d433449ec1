# frozen_string_literal: true

module Vantick
  module Core
    # How probable each single state of a child is, kept as answers come in: each answer costs one look at the table, not
    # one at all answers. {Diagnosis} weighs two misreadings at once as well, and tells; this only chooses.
    class Belief
      # Answers back from which it is begun (judgement: as many as are looked at for a misreading).
      LOOKED_AT = Secure::LOOKED_AT
      # Logarithms further below the highest are cut off, so that a child can change.
      DEEPEST = -14.0

      # @return [Hash{State => Float}] every state, misreadings as likely as one another
      PRIORS = begin
        share = (1 - Diagnosis::SECURE_PRIOR - Diagnosis::UNSURE_PRIOR) / Misreading.all.length
        { State::SECURE => Diagnosis::SECURE_PRIOR, State::UNSURE => Diagnosis::UNSURE_PRIOR,
          **Misreading.all.to_h { |one| [State.new(:misreading, [one]), share] } }.transform_values { |prior| Math.log(prior) }.freeze
      end

      # @param answers [Array<Marked>] oldest first
      # @return [Belief]
      def self.from(answers) = answers.last(LOOKED_AT).reduce(new(PRIORS)) { |belief, marked| belief.with(marked) }

      def initialize(logs)
        @logs = logs.freeze
        freeze
      end

      # @param marked [Marked]
      # @return [Belief] after one answer more
      def with(marked)
        return self unless marked.telling?

        logs = @logs.to_h { |state, log| [state, log + Math.log(Likelihood.of(state, marked))] }
        highest = logs.values.max
        Belief.new(logs.transform_values { |log| [log - highest, DEEPEST].max })
      end

      # @return [Hash{State => Float}] probabilities, which sum to 1
      def shares
        weights = @logs.transform_values { |log| Math.exp(log) }
        whole = weights.values.sum
        weights.transform_values { |weight| weight / whole }
      end

      # @return [Misreading, nil] the one that is likely, by the same bound as a diagnosis
      def likely
        state, share = shares.max_by(&:last)
        state.misreadings.first if share >= Diagnosis::LIKELY
      end
    end
  end
end
