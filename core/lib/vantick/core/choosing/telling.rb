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
        @misreadings = Misreading.for(task).select { |misreading| pool.any? { |time| misreading.chance?(time, task) } }.freeze
        @apart = pool.to_h { |time| [time, pairs_apart(time)] }.freeze
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
        misreadings.to_h { |misreading| [misreading.id, times.count { |time| misreading.chance?(time, @task) }] }
      end

      private

      # The right reading predicts the right answer; so does a misreading where it does not show.
      def pairs_apart(time)
        predictions = [[@task.right_answer(time)], *misreadings.map { |misreading| misreading.predicted(time, @task) }]
        predictions.each_index.to_a.combination(2).each_with_index.filter_map do |(one, other), number|
          number unless predictions[one].intersect?(predictions[other])
        end
      end
    end
  end
end
