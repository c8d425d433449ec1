# frozen_string_literal: true

module Vantick
  module Core
    # What a child's answers say: how probable each state is, by Bayes' rule, told in words.
    class Diagnosis
      # A state with its share of the prior (judgement); what is left is shared evenly by misreadings.
      SECURE_PRIOR = 0.4
      UNSURE_PRIOR = 0.1
      # What all pairs of misreadings share once they are tried (judgement).
      PAIRS_PRIOR = 0.1
      # From which probability a state is told (judgement).
      LIKELY = 0.75
      POSSIBLE = 0.40
      # From which a child is called secure: more, as nobody looks again at one who is (judgement).
      SECURE_FROM = 0.92
      # Days after which an answer has half its weight (judgement).
      HALF_WEIGHT_DAYS = 21

      # @return [Hash{State => Float}] probabilities, which sum to 1
      attr_reader :states
      # @return [Array<Evidence>] own hits first
      attr_reader :evidence

      # @param answers [Array<Marked>]
      # @param ages [Array<Numeric>] the age of each answer in days, 0 where left out
      def initialize(answers, ages: [])
        weighed = answers.zip(ages).select { |answer, _| answer.telling? }
        @weighed = weighed.map { |answer, age| [answer, 0.5**((age || 0).to_f / HALF_WEIGHT_DAYS)] }.freeze
        @evidence = Evidence.from(answers).freeze
        @states = posterior.freeze
        freeze
      end

      # @return [String] "likely", "possible", "secure" or "not enough to say"
      def verdict
        return "not enough to say" if @weighed.empty?
        return "secure" if top == State::SECURE && states[top] >= SECURE_FROM
        return "not enough to say" if top.misreadings.empty? || states[top] < POSSIBLE

        states[top] >= LIKELY ? "likely" : "possible"
      end

      # @return [State] the most probable one
      def top = states.max_by(&:last).first

      # @param misreading [Misreading]
      # @return [Float] of all states that have it
      def probability(misreading) = states.sum { |state, share| state.misreadings.include?(misreading) ? share : 0.0 }

      private

      def posterior
        return priors if @weighed.empty?

        # Two misreadings at once are tried where one alone does not tell the answers well.
        single = weigh(priors)
        single.values.max < LIKELY ? weigh(priors_with_pairs) : single
      end

      # A misreading that could show in none of the answers cannot be told from secure by them, so nothing
      # is said of it.
      def candidates
        Misreading.all.select do |misreading|
          @weighed.any? { |answer, _| Predictions.of(answer.task).wrong_answers(misreading, answer.time).any? }
        end
      end

      def priors
        found = candidates
        share = (1 - SECURE_PRIOR - UNSURE_PRIOR) / [found.length, 1].max
        normalised({ State::SECURE => SECURE_PRIOR, State::UNSURE => UNSURE_PRIOR,
                     **found.to_h { |one| [State.new(:misreading, [one]), share] } })
      end

      def priors_with_pairs
        pairs = candidates.combination(2).map { |two| State.new(:misreading, two) }
        priors.transform_values { |share| share * (1 - PAIRS_PRIOR) }.merge(pairs.to_h { |pair| [pair, PAIRS_PRIOR / pairs.length] })
      end

      # Weights of answers are powers, so that an old answer says the same more quietly.
      def weigh(priors)
        logs = priors.to_h do |state, prior|
          [state, Math.log(prior) + @weighed.sum { |answer, weight| weight * Math.log(Likelihood.of(state, answer)) }]
        end
        highest = logs.values.max
        normalised(logs.transform_values { |log| Math.exp(log - highest) })
      end

      def normalised(shares)
        whole = shares.values.sum
        shares.transform_values { |share| share / whole }
      end
    end
  end
end
