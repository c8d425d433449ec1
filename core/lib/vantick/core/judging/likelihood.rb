# frozen_string_literal: true

module Vantick
  module Core
    # How likely an answer is for a child in each state: secure, with a misreading (or two), or unsure.
    # All numbers are judgements; `bin/bench` shows what they cost.
    module Likelihood
      # P(right answer), P(the answers predicted, shared out), P(all other answers together).
      TABLE = {
        showing: { right: 0.10, predicted: 0.85, other: 0.05 }.freeze,
        hidden: { right: 0.95, predicted: 0.0, other: 0.05 }.freeze,
        secure: { right: 0.95, predicted: 0.0, other: 0.05 }.freeze,
        unsure: { right: 0.30, predicted: 0.0, other: 0.70 }.freeze
      }.freeze
      # How many other answers a mistake is spread over.
      OTHERS = 40

      class << self
        # @param state [State]
        # @param marked [Marked] one that is telling
        # @return [Float]
        def of(state, marked)
          wrong = state.wrong_answers(marked.time, marked.task)
          row = TABLE.fetch(row(state, wrong))
          return row[:right] if marked.read_right?

          # An answer kept from before a rule was changed may name what no longer leads to it: then it explains nothing.
          hit = wrong.any? && state.misreadings.any? { |misreading| marked.misreadings.include?(misreading.id) }
          hit ? row[:predicted] / wrong.length : row[:other] / OTHERS
        end

        # @param state [State]
        # @param time [DialTime]
        # @param task [Task]
        # @return [Hash] P of each wrong answer predicted, of `:right` and of `:other` together
        def outcomes(state, time, task)
          wrong = state.wrong_answers(time, task)
          row = TABLE.fetch(row(state, wrong))
          wrong.to_h { |answer| [answer, row[:predicted] / wrong.length] }.merge(right: row[:right], other: row[:other])
        end

        private

        def row(state, wrong)
          return state.name if state.misreadings.empty?

          wrong.empty? ? :hidden : :showing
        end
      end
    end
  end
end
