# frozen_string_literal: true

module Vantick
  module Core
    module Judging
      # What a child's answers say: how probable each state is, by Bayes' rule, told in words. Children change, so before each
      # answer a little of what was believed gives way to the prior, and more where days lie between. There is one diagnosis for
      # a child: the record, the groups, {Standing} and the desk ask the same.
      class Diagnosis
        # A state with its share of the prior (judgement); what is left is shared evenly by misreadings.
        SECURE_PRIOR = 0.4
        UNSURE_PRIOR = 0.1
        # What all pairs of misreadings share (judgement); those alone are tried of which each was hit.
        PAIRS_PRIOR = 0.15
        SINGLE_PRIOR = 1 - SECURE_PRIOR - UNSURE_PRIOR - PAIRS_PRIOR
        # What a seldom misreading has of the share of one that many children have (judgement).
        SELDOM = 0.25
        # From which probability a misreading is told (judgement), at most so many, with so many hits among the last answers.
        LIKELY = 0.75
        POSSIBLE = 0.40
        TOLD = 2
        HITS = 2
        SELDOM_HITS = 3
        # A likely one shows in so large a part of the answers that could show it.
        SHARE = 0.4
        HITS_AMONG = 25
        # From which a child is called secure: more, as nobody looks again at one who is (judgement).
        SECURE_FROM = 0.92
        # How much of a belief is kept from one answer to the next, and the days in which half of it goes (judgement).
        KEPT = 0.988
        HALF_DAYS = 35
        # Answers back from which it is worked out: what is older has faded.
        LOOKED_AT = 60

        # @return [Hash{State => Float}] probabilities, which sum to 1
        attr_reader :states
        # @return [Array<Marked>] those it rests on, oldest first
        attr_reader :answers

        # @param answers [Array<Marked>] at first try, oldest first
        # @param days [Array<Integer>] on which each was given, any count of days; all on one where left out
        # @param today [Integer, nil] in the same count; the day of the last answer where left out
        def initialize(answers, days: [], today: nil)
          dated = answers.zip(days).select { |answer, _| answer.telling? }.last(LOOKED_AT)
          @answers = dated.map(&:first).freeze
          @days = dated.map { |_, day| day || today || 0 }.freeze
          @today = today || @days.last
          @states = posterior.freeze
        end

        # @param marked [Marked]
        # @return [Diagnosis] after one answer more, today
        def with(marked) = Diagnosis.new(answers + [marked], days: @days + [@today || 0], today: @today)

        # @return [Array<Evidence>] own hits first
        def evidence = @evidence ||= Evidence.from(answers).freeze

        # @return [String] "likely", "possible", "secure" or "not enough to say"
        def verdict
          return "not enough to say" if answers.empty?
          return "likely" if likely.any?
          return "possible" if possible.any?

          states[State::SECURE] >= SECURE_FROM ? "secure" : "not enough to say"
        end

        # @return [Array<Misreading>] the likely ones, the most probable first, at most {TOLD}
        def likely = @likely ||= told_from(LIKELY, HITS)

        # @return [Array<Misreading>] the likely ones, and those that are possible
        def possible = @possible ||= told_from(POSSIBLE, 1)

        # What it looks like where there is not enough to say so: what was shown weeks ago counts less, and a child whose answers were all
        # right is not told as one who is wrong in many ways.
        # @return [Symbol, nil] `:secure`, `:unsure` or `:misreading`, whichever is the most probable; nothing without answers
        def leans
          return if answers.empty?

          states.group_by { |state, _| state.name }.transform_values { |shares| shares.sum(&:last) }.max_by(&:last).first
        end

        # @return [State] the most probable one
        def top = states.max_by(&:last).first

        # @param misreading [Misreading]
        # @return [Float] of all states that have it
        def probability(misreading) = states.sum { |state, share| state.misreadings.include?(misreading) ? share : 0.0 }

        # @param misreadings [Array<Misreading>] that a question could show
        # @return [Hash{State => Float}] as they are, with those that no answer could show so far at their share of the prior
        def open_states(misreadings)
          tried = states.keys.flat_map(&:misreadings)
          left = misreadings - tried
          share = SINGLE_PRIOR / Reading::Misreading.all.sum { |one| weight(one) }
          normalised(states.merge(left.to_h { |one| [State.new(:misreading, [one]), share * weight(one)] }))
        end

        # @return [Hash{State => Float}] what was believed before any answer
        def priors = @priors ||= worked_out_priors.freeze

        private

        def told_from(bound, hits)
          last = answers.last(HITS_AMONG)
          found = hit(last, hits).map { |misreading| [probability(misreading), misreading] }.select { |share, _| share >= bound }
          found.sort_by.with_index { |(share, _), at| [-share, at] }.first(TOLD).map(&:last)
        end

        # Misreadings that some answers may show, so many times at least.
        def hit(answers, times = 1)
          counts = answers.flat_map(&:misreadings).tally
          found = Reading::Misreading.all.select { |misreading| counts.fetch(misreading.id, 0) >= times }
          times == 1 ? found : found.select { |misreading| often?(misreading, answers, counts) }
        end

        def often?(misreading, answers, counts)
          return false if misreading.seldom? && counts[misreading.id] < SELDOM_HITS

          counts[misreading.id] >= SHARE * answers.count { |answer| misreading.chance?(answer.time, answer.task) }
        end

        # A misreading that could show in none of the answers cannot be told from secure by them, so nothing
        # is said of it.
        def candidates
          at = answers.uniq { |answer| [answer.task, answer.time] }
          Reading::Misreading.all.select do |misreading|
            at.any? { |answer| Reading::Predictions.of(answer.task).wrong_answers(misreading, answer.time).any? }
          end
        end

        def worked_out_priors
          found = candidates
          normalised({ State::SECURE => SECURE_PRIOR, State::UNSURE => UNSURE_PRIOR,
                       **shared_out(SINGLE_PRIOR, found.zip, found.zip),
                       **shared_out(PAIRS_PRIOR, (hit(answers) & found).combination(2), found.combination(2)) })
        end

        # A part of the prior, shared out by weight among all that there could be; of these some are tried.
        def shared_out(prior, tried, all)
          whole = all.sum { |some| weights(some) }
          tried.to_h { |some| [State.new(:misreading, some), prior * weights(some) / whole] }
        end

        def weights(misreadings) = misreadings.reduce(1.0) { |product, one| product * weight(one) }

        def weight(misreading) = misreading.seldom? ? SELDOM : 1.0

        # One number a state, in the order of the prior: this is gone through for each answer of each child.
        def posterior
          states = priors.keys
          begin_with = priors.values
          belief = begin_with
          answers.each_with_index do |answer, at|
            likelihoods = Likelihood.of_all(states, answer)
            belief = faded(belief, begin_with, kept(at)).map.with_index { |share, place| share * likelihoods[place] }
            whole = belief.sum
            belief = belief.map { |share| share / whole }
          end
          belief = faded(belief, begin_with, share_left(@today - @days.last)) if @days.any?
          states.zip(belief).to_h
        end

        def kept(at) = KEPT * share_left(at.zero? ? 0 : @days[at] - @days[at - 1])

        def share_left(days) = days.positive? ? 0.5**(days / HALF_DAYS.to_f) : 1.0

        def faded(belief, begin_with, left)
          return belief unless left < 1

          belief.map.with_index { |share, place| (left * share) + ((1 - left) * begin_with[place]) }
        end

        def normalised(shares)
          whole = shares.values.sum
          shares.transform_values { |share| share / whole }
        end
      end
    end
  end
end
