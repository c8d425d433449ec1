# frozen_string_literal: true

module Vantick
  module Core
    # A class's own method as a list that children tick off while they read a dial: only the lines that the
    # times of a step need.
    class MethodCard
      WORDS = DataFile.load("words")[:method]

      # @param step [Step]
      # @param conventions [Conventions]
      # @return [Array<String>]
      def self.lines(step, conventions = Conventions.default) = new(step, conventions).lines

      def initialize(step, conventions)
        @step = step
        @conventions = conventions
        @sides = step.pool.map(&:side).uniq
        @minutes = step.pool.map(&:minute).uniq
      end

      def lines
        return [line(:two_hands)] if @minutes.empty?
        return special if special

        parts = [[:hour], [:minutes_hand, *minutes]]
        parts.reverse! if @conventions.order == :minutes_first
        [*parts.flatten, *(:next_hour if to?), :say].map { |words| line(words) }
      end

      private

      # Steps at which no whole time is read have lines of their own.
      def special = @special ||= WORDS[:of_step][@step.id]&.map { |words| format(words, **words_for_sides) }

      def minutes
        return quarters if (@minutes - MinuteTalk::LANDMARKS).empty?

        return [:back, *(:ones if ticks?)] if only_back?

        [*(:side if past? && to?), @conventions.counting, *(:ones if ticks?), *(@conventions.counting_to if to?)]
      end

      # Those who count back do not count on where every time is before the hour.
      def only_back? = !past? && @conventions.counting_to == :back

      def quarters = @minutes.one? ? [] : [:quarters]

      def past? = @sides.include?(:past)

      def to? = @sides.include?(:to)

      def ticks? = @minutes.any? { |minute| minute % 5 != 0 }

      def line(words) = format(WORDS.fetch(words), **words_for_sides)

      def words_for_sides = { past: @conventions.word(:past), to: @conventions.word(:to) }
    end
  end
end
