# frozen_string_literal: true

module Vantick
  module Core
    module Judging
      # How likely an answer is for a child in each state: secure, with a misreading (or two), or unsure.
      # All numbers are judgements; `bin/bench` shows what they cost.
      module Likelihood
        # P(right answer), P(the answers predicted, shared out), P(all other answers together).
        TABLE = {
          showing: { right: 0.18, predicted: 0.77, other: 0.05 }.freeze,
          hidden: { right: 0.95, predicted: 0.0, other: 0.05 }.freeze,
          secure: { right: 0.95, predicted: 0.0, other: 0.05 }.freeze,
          unsure: { right: 0.30, predicted: 0.0, other: 0.70 }.freeze
        }.freeze
        # How many other answers a mistake is spread over, where the task has so many.
        OTHERS = 40
        # P of an answer that some misreading predicts, for a child who is unsure: mistakes are not made by lot.
        UNSURE_EACH = 0.06
        # What is left of those for answers that none predicts, at least.
        UNSURE_REST = 1 / 7.0

        class << self
          # @param state [State]
          # @param marked [Marked] one that is telling
          # @return [Float]
          def of(state, marked)
            return unsure(marked) if state == State::UNSURE

            wrong = state.wrong_answers(marked.time, marked.task)
            row = TABLE.fetch(row(state, wrong))
            return row[:right] if marked.read_right?

            # An answer kept from before a rule was changed may name what no longer leads to it: then it explains nothing.
            hit = wrong.any? && state.misreadings.any? { |misreading| marked.misreadings.include?(misreading.id) }
            hit ? row[:predicted] / wrong.length : row[:other] / others(marked.task)
          end

          # The same for many states: what one misreading does with the answer is found out once.
          # @param states [Array<State>]
          # @param marked [Marked] one that is telling
          # @return [Array<Float>] in the order of the states
          def of_all(states, marked)
            quiet = marked.read_right? ? TABLE[:hidden][:right] : TABLE[:hidden][:other] / others(marked.task)
            shown = Reading::Predictions.of(marked.task).at(marked.time)
            states.map { |state| state.misreadings.any? && state.misreadings.none? { |one| shown[one.id] } ? quiet : of(state, marked) }
          end

          # @param state [State]
          # @param time [DialTime]
          # @param task [Task]
          # @return [Hash] P of each wrong answer predicted, of `:right` and of `:other` together
          def outcomes(state, time, task)
            wrong = state.wrong_answers(time, task)
            row = TABLE.fetch(row(state, wrong))
            right, other = state == State::UNSURE ? unsure_of(task) : row.values_at(:right, :other)
            wrong.to_h { |answer| [answer, row[:predicted] / wrong.length] }.merge(right:, other:)
          end

          # @param task [Task]
          # @return [Integer] wrong answers that there are to it, at most {OTHERS}
          def others(task)
            (@others ||= {})[task.id] ||= (task.times.map { |time| task.right_answer(time) }.uniq.length - 1).clamp(1, OTHERS)
          end

          private

          def row(state, wrong)
            return state.name if state.misreadings.empty?

            wrong.empty? ? :hidden : :showing
          end

          def unsure(marked)
            right, wrong = unsure_of(marked.task)
            return right if marked.read_right?

            known = [Reading::Predictions.of(marked.task).count(marked.time), 1].max
            most = marked.task.guess ? wrong : UNSURE_EACH
            each = [most, (wrong - (UNSURE_REST * wrong)) / known].min
            return each if marked.misreadings.any?

            (wrong - (each * known)) / others(marked.task)
          end

          # Whoever does not know and has two things to say is right half of the time.
          # @return [Array<Float>] P(right answer), P(all others together)
          def unsure_of(task)
            right = [task.guess || 0, TABLE[:unsure][:right]].max
            [right, 1 - right]
          end
        end
      end
    end
  end
end
