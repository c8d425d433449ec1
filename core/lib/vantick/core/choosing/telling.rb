# frozen_string_literal: true

module Vantick
  module Core
    # What times can tell: which pairs of {right, misreadings} a time keeps apart, because the answers
    # that the two predict share nothing.
    class Telling
      # @return [Array<Misreading>] those that can show at some time of the pool
      attr_reader :misreadings
      # @return [Integer] pairs that some time of the pool keeps apart
      attr_reader :pairs_possible

      # @param step [Step]
      # @param task [Task]
      # @return [Telling] kept once made, as it costs a walk over the pool
      def self.for(step, task)
        @made ||= {}
        @made[[step.id, task.id]] ||= new(step.pool, task)
      end

      # @param pool [Array<DialTime>]
      # @param task [Task]
      def initialize(pool, task)
        @task = task
        @misreadings = Misreading.for(task).select { |misreading| pool.any? { |time| chance?(misreading, time) } }.freeze
        @apart = pairs_apart(pool).freeze
        @pairs_possible = @apart.values.flatten.uniq.length
        freeze
      end

      # @param time [DialTime] of the pool
      # @return [Array<Integer>] the pairs it keeps apart, by number
      def apart(time) = @apart.fetch(time)

      # @param times [Array<DialTime>] of the pool
      # @return [Integer] pairs that at least one of them keeps apart
      def pairs_told_apart(times) = times.flat_map { |time| apart(time) }.uniq.length

      # @param times [Array<DialTime>] of the pool
      # @return [Float] the sum over all pairs of 1 - 0.25^s, s = how many of the times keep the pair apart
      def worth(times)
        times.flat_map { |time| apart(time) }.tally.sum { |_, separating| 1 - (Chooser::UNTOLD**separating) }
      end

      # @param times [Array<DialTime>]
      # @return [Hash{Symbol => Integer}] by misreading, the times at which it would show
      def chances(times)
        misreadings.to_h { |misreading| [misreading.id, times.count { |time| chance?(misreading, time) }] }
      end

      private

      def chance?(misreading, time) = Predictions.of(@task).wrong_answers(misreading, time).any?

      def pairs_apart(pool)
        numbers = [nil, *misreadings].combination(2).each_with_index.to_h
        pool.to_h { |time| [time, Separations.of(@task).at(time).filter_map { |pair| numbers[pair] }] }
      end
    end
  end
end
