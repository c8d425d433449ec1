# frozen_string_literal: true

module Vantick
  module Core
    # Whether a child is secure on a step. Judgement; the numbers stand here alone.
    module Secure
      # Answers on the step, on at least so many days; the share of the last ones right at first try.
      ANSWERS = 8
      DAYS = 2
      LAST = 10
      SECURE_SHARE = 0.8
      NEARLY_SHARE = 0.6
      STATES = %i[secure nearly learning not_met].freeze

      # An answer at first try: what was made of it, and the day it was given.
      Given = Struct.new(:marked, :day, keyword_init: true)

      class << self
        # @param answers [Array<Given>] on one step, oldest first; days can be anything that is equal on one day
        # @return [Symbol] one of {STATES}
        def state(answers)
          telling = answers.reject { |answer| answer.marked.verdict == :blank }
          return :not_met if telling.empty?

          share = share_right(telling)
          return :secure if share >= SECURE_SHARE && enough?(telling) && !misread?(telling)

          share >= NEARLY_SHARE ? :nearly : :learning
        end

        # @param answers [Array<Given>] on one step, oldest first
        # @return [Boolean] whether fewer are right than secure asks for, or they are likely misread the same way
        def stumbles?(answers)
          telling = answers.reject { |answer| answer.marked.verdict == :blank }
          telling.any? && (share_right(telling) < SECURE_SHARE || misread?(telling))
        end

        private

        def share_right(answers)
          last = answers.last(LAST)
          last.count { |answer| answer.marked.right? } / last.length.to_f
        end

        def enough?(answers) = answers.length >= ANSWERS && answers.map(&:day).uniq.length >= DAYS

        def misread?(answers) = Diagnosis.new(answers.map(&:marked)).verdict == "likely"
      end
    end
  end
end
