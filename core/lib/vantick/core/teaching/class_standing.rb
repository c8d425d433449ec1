# frozen_string_literal: true

module Vantick
  module Core
    # Where a class stands on the ladder, and which step is next for it.
    class ClassStanding
      # From which share of the children who met a step it is taken up again (judgement).
      STUMBLING_SHARE = 0.2

      # What is next, and why.
      # @!attribute step [Step, nil] nothing where all of the ladder is done
      # @!attribute reason [Symbol] `:begin`, `:stumbling`, `:go_on` or `:done`
      # @!attribute children [Array] keys of those who stumble at it
      Next = Struct.new(:step, :reason, :children, keyword_init: true)

      # @return [Hash{Object => Standing}] by child
      attr_reader :by_child

      # @param by_child [Hash{Object => Standing}] a key is any name for a child
      def initialize(by_child)
        @by_child = by_child.freeze
        freeze
      end

      # @param step [Step]
      # @return [Hash{Symbol => Integer}] children by state
      def counts(step)
        tally = by_child.values.map { |standing| standing.states.fetch(step) }.tally
        Secure::STATES.to_h { |state| [state, tally.fetch(state, 0)] }
      end

      # @return [Array<Step>] those that some child met
      def met = Step.with_times.select { |step| counts(step)[:not_met] < by_child.length }

      # @return [Next]
      def next_step
        return Next.new(step: Standing.after([]), reason: :begin, children: []) if met.empty?

        stumbled = met.find { |step| stumbling(step).length >= STUMBLING_SHARE * (by_child.length - counts(step)[:not_met]) }
        return Next.new(step: stumbled, reason: :stumbling, children: stumbling(stumbled)) if stumbled

        following = Standing.after(met)
        Next.new(step: following, reason: following ? :go_on : :done, children: [])
      end

      # @param step [Step]
      # @return [Array<Step>] steps below it that are fading or not secure for some child who met them
      def to_go_over(step)
        step.foundations.select { |lower| met.include?(lower) && by_child.values.any? { |standing| shaky?(standing, lower) } }
      end

      private

      def stumbling(step) = by_child.select { |_, standing| standing.stumbles.include?(step) }.keys

      def shaky?(standing, step) = standing.fading.include?(step) || %i[nearly learning].include?(standing.states.fetch(step))
    end
  end
end
