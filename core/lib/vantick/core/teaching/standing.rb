# frozen_string_literal: true

module Vantick
  module Core
    # Where a child stands on the ladder. An answer counts on the step it was asked for, and on those below it
    # whose times hold the time asked: 3:30 among quarters also tells of half past.
    class Standing
      # Days after which what was secure is gone over again: as long as an answer has half its weight.
      FADING_DAYS = Diagnosis::HALF_WEIGHT_DAYS

      # An answer at first try.
      # @!attribute step [Step] for which it was asked
      # @!attribute marked [Marked]
      # @!attribute day [Integer] any count of days
      Asked = Struct.new(:step, :marked, :day, keyword_init: true)

      # @return [Hash{Step => Symbol}] one of {Secure::STATES} for each step that has times
      attr_reader :states
      # @return [Array<Step>] steps at which the child reads less than is secure, or misreads the same way
      attr_reader :stumbles
      # @return [Array<Step>] secure once, and not asked for {FADING_DAYS}
      attr_reader :fading

      # @param answers [Array<Asked>] oldest first
      # @param today [Integer] in the same count of days
      def initialize(answers, today:)
        by_step = Standing.by_step(answers)
        judged = by_step.transform_values { |given| Secure.judge(given) }
        @states = judged.transform_values(&:state).freeze
        @stumbles = judged.select { |_, one| one.stumbles }.keys.freeze
        @fading = by_step.select { |step, given| @states[step] == :secure && today - given.last.day >= FADING_DAYS }.keys.freeze
        freeze
      end

      # @return [Step, nil] the lowest at which the child stumbles; else the first above all that were met; nothing
      #   at the top of the ladder
      def next_step = stumbles.first || Standing.after(states.reject { |_, state| state == :not_met }.keys)

      # @param met [Array<Step>]
      # @return [Step, nil] the first step above all of these, and the first of all where there are none
      def self.after(met)
        ladder = Step.with_times
        ladder[met.empty? ? 0 : ladder.index(met.last) + 1]
      end

      # @param answers [Array<Asked>]
      # @return [Hash{Step => Array<Secure::Given>}] for every step that has times
      def self.by_step(answers)
        found = Step.with_times.to_h { |step| [step, []] }
        answers.each do |asked|
          given = Secure::Given.new(marked: asked.marked, day: asked.day)
          steps_of(asked).each { |step| found[step] << given }
        end
        found
      end

      # Looked up by the thousand, so kept: there are no more than steps, tasks and times.
      def self.steps_of(asked)
        @steps_of ||= {}
        @steps_of[[asked.step.id, asked.marked.task.id, asked.marked.time]] ||= counting(asked).freeze
      end

      def self.counting(asked)
        task, time = asked.marked.then { |marked| [marked.task, marked.time] }
        [asked.step, *asked.step.foundations.select { |step| step.tasks.include?(task) && step.holds?(time) }]
      end
      private_class_method :steps_of, :counting
    end
  end
end
