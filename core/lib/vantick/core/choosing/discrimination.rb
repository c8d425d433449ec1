# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # What times can tell: which pairs of {right, misreadings} a time keeps apart, because the answers
      # that the two predict share nothing.
      class Discrimination
        # What a pair with a seldom misreading counts beside the others (judgement).
        SELDOM = 0.2

        # @return [Array<Misreading>] those that can show at some time of the pool
        attr_reader :misreadings
        # @return [Integer] pairs that some time of the pool keeps apart
        attr_reader :pairs_possible

        # @param step [Step]
        # @param task [Task]
        # @return [Discrimination] kept once made, as it costs a walk over the pool
        def self.for(step, task)
          @made ||= {}
          @made[[step.id, task.id]] ||= new(step.pool_for(task), task, step.misreadings(task))
        end

        # @param pool [Array<DialTime>]
        # @param task [Task]
        # @param misreadings [Array<Misreading>] those that can show there
        def initialize(pool, task, misreadings = Reading::Misreading.showing(pool, task))
          @task = task
          @misreadings = misreadings
          pairs = [nil, *misreadings].combination(2).to_a
          @weights = pairs.map { |pair| weight(pair) }.freeze
          @own = DiscriminationMatrix.of(task).pairs.map { |pair| pairs.index(pair) }.freeze
          sort_into_kinds(pool)
          @pairs_possible = @kinds.flatten.uniq.length
          freeze
        end

        # @param time [DialTime] of the pool
        # @return [Integer] times of one kind keep the same pairs apart
        def kind(time) = @kind_of[time.index]

        # @param time [DialTime] of the pool
        # @return [Array<Integer>] the pairs it keeps apart, by number
        def apart(time) = @kinds.fetch(kind(time))

        # What one time more adds to the worth of others.
        # @param times [Array<DialTime>] of the pool, chosen already
        # @return [Hash{Integer => Float}] by the kind of the time
        def gains(times)
          left = @weights.dup
          times.each { |time| apart(time).each { |pair| left[pair] *= Chooser::UNTOLD } }
          Hash.new { |gains, kind| gains[kind] = left.values_at(*@kinds[kind]).sum }
        end

        # @param times [Array<DialTime>] of the pool
        # @return [Integer] pairs that at least one of them keeps apart
        def pairs_told_apart(times) = times.flat_map { |time| apart(time) }.uniq.length

        # @param times [Array<DialTime>] of the pool
        # @return [Float] the sum over all pairs of 1 - 0.25^s, s = how many of the times keep the pair apart; a pair with a seldom
        #   misreading counts less
        def worth(times)
          times.flat_map { |time| apart(time) }.tally.sum { |pair, separating| @weights[pair] * (1 - (Chooser::UNTOLD**separating)) }
        end

        # @return [Float] what the worth of times comes near to, the more of them there are
        def weight_possible = @kinds.flatten.uniq.sum { |pair| @weights[pair] }

        # @param times [Array<DialTime>]
        # @return [Hash{Symbol => Integer}] by misreading, the times at which it would show
        def chances(times)
          misreadings.to_h { |misreading| [misreading.id, times.count { |time| misreading.chance?(time, @task) }] }
        end

        private

        def weight(pair) = pair.any? { |misreading| misreading&.seldom? } ? SELDOM : 1.0

        # The kind of a time stands at its index: it is looked up by the thousand.
        def sort_into_kinds(pool)
          apart = pool.to_h { |time| [time.index, pairs_apart(time)] }
          @kinds = apart.values.uniq.freeze
          numbers = @kinds.each_with_index.to_h
          @kind_of = apart.each_with_object([]) { |(place, pairs), kinds| kinds[place] = numbers[pairs] }.freeze
        end

        def pairs_apart(time) = DiscriminationMatrix.of(@task).at(time).filter_map { |number| @own[number] }.freeze
      end
    end
  end
end
