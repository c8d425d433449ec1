# frozen_string_literal: true

module Vantick
  module Core
    module Judging
      # How likely each outcome of a question is for a child in each state: secure, with a misreading (or two), or unsure. So it is seen
      # which question would tell most; what was answered is weighed by {Knowing::Belief}. All numbers are judgements.
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

        class << self
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
