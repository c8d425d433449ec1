# frozen_string_literal: true

module Vantick
  module Core
    module Judging
      # How well a child does on a step, from what was answered there. Judgement; the numbers stand here alone.
      module Secure
        # Answers on the step, on at least so many days; the share of the last ones right at first try.
        ANSWERS = 8
        DAYS = 2
        LAST = 10
        SECURE_SHARE = 0.8
        NEARLY_SHARE = 0.6
        # With fewer answers and no more wrong than this, nothing more can be said than that it went right so far.
        WRONG_SO_FAR = 1
        # Fewer answers than this are no stumble, and show nothing; nor is one slip.
        TELLING = 4
        STUMBLE_WRONG = 2
        # The last answers on a part that have to be right where the whole is secure, to be secure through it; two where there are no
        # more. As many right one after the other show a step well enough to go on.
        THROUGH = 3
        LEAST_THROUGH = 2
        # Answers older than this only say that a step was met.
        JUDGING_DAYS = 60
        STATES = %i[secure right_so_far nearly learning not_met].freeze

        # @!attribute state [Symbol] one of {STATES}
        # @!attribute stumbles [Boolean] whether more than chance is wrong of the last answers
        # @!attribute shown [Boolean] whether enough was right to go on
        # @!attribute answers [Integer] that judge it
        # @!attribute right [Integer] of the last {LAST}
        # @!attribute through [Boolean] whether the last ones are right
        # @!attribute since [Integer, nil] day of the first of the last {LAST}
        # @!attribute last_day [Integer, nil] of the last answer of all
        Judged = Struct.new(:state, :stumbles, :shown, :answers, :right, :through, :since, :last_day, keyword_init: true)
        NOT_MET = Judged.new(state: :not_met, stumbles: false, shown: false, answers: 0, right: 0, through: false).freeze

        # An answer at first try: what was made of it, and the day it was given.
        Given = Struct.new(:marked, :day, keyword_init: true)

        class << self
          # @param answers [Array<Given>] on one step, oldest first; days are counted
          # @param today [Integer] in the same count
          # @param misread [Boolean] whether a misreading is likely that can show on the step
          # @return [Judged]
          def judge(answers, today: nil, misread: false)
            given = answers.reject { |answer| answer.marked.verdict == :blank }
            return NOT_MET if given.empty?

            # What could not be read says that the step was met, and nothing of the child.
            recent = given.select { |answer| answer.marked.telling? && (today.nil? || today - answer.day <= JUDGING_DAYS) }
            Judged.new(**counted(recent, misread), since: recent.last(LAST).first&.day, last_day: given.last.day).freeze
          end

          private

          def counted(recent, misread)
            last = recent.last(LAST).map { |answer| answer.marked.right? }
            right = last.count(true)
            stumbles = last.length >= TELLING && last.length - right >= STUMBLE_WRONG && right < SECURE_SHARE * last.length
            state = state(recent, last, right, misread)
            { state:, stumbles:, answers: recent.length, right:, through: last.length >= LEAST_THROUGH && last.last(THROUGH).all?,
              shown: state == :secure || shown?(last, stumbles || misread) }
          end

          def shown?(last, hindered) = last.last(THROUGH).count(true) == THROUGH || (last.length >= TELLING && !hindered)

          def state(recent, last, right, misread)
            return :right_so_far if last.empty?

            share = right / last.length.to_f
            return :secure if enough?(recent) && share >= SECURE_SHARE && !misread
            return :right_so_far if !enough?(recent) && last.length - right <= WRONG_SO_FAR && right.positive?

            share >= NEARLY_SHARE ? :nearly : :learning
          end

          def enough?(answers) = answers.length >= ANSWERS && answers.map(&:day).uniq.length >= DAYS
        end
      end
    end
  end
end
