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
      # The last answers that are looked at for a misreading (judgement: what is older says nothing of now).
      LOOKED_AT = 40

      # @!attribute state [Symbol] one of {STATES}
      # @!attribute stumbles [Boolean] whether fewer are right than secure asks for, or they are likely misread the same way
      Judged = Struct.new(:state, :stumbles, keyword_init: true)

      # An answer at first try: what was made of it, and the day it was given.
      Given = Struct.new(:marked, :day, keyword_init: true)

      class << self
        # @param answers [Array<Given>] on one step, oldest first; days can be anything that is equal on one day
        # @return [Symbol] one of {STATES}
        def state(answers) = judge(answers).state

        # @param answers [Array<Given>] on one step, oldest first
        # @return [Judged]
        def judge(answers)
          telling = answers.reject { |answer| answer.marked.verdict == :blank }
          return Judged.new(state: :not_met, stumbles: false) if telling.empty?

          share = share_right(telling)
          high = share >= SECURE_SHARE
          misread = high && misread?(telling)
          Judged.new(state: named(share, high && !misread && enough?(telling)), stumbles: !high || misread)
        end

        private

        def named(share, secure)
          return :secure if secure

          share >= NEARLY_SHARE ? :nearly : :learning
        end

        def share_right(answers)
          last = answers.last(LAST)
          last.count { |answer| answer.marked.right? } / last.length.to_f
        end

        def enough?(answers) = answers.length >= ANSWERS && answers.map(&:day).uniq.length >= DAYS

        # Where no answer is one that a misreading predicts, none is likely.
        def misread?(answers)
          last = answers.last(LOOKED_AT).map(&:marked)
          last.any? { |marked| marked.misreadings.any? } && Diagnosis.new(last).verdict == "likely"
        end
      end
    end
  end
end
