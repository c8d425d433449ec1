# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Counting once round the dial, forward and back again, with one hand hopping from numeral to numeral: the long hand by fives, or,
      # where fives have not come yet, the short hand by hours (common practice, no source).
      module CountingRound
        FIVE = 5
        ROUND = 60
        HOURS = 12
        # What a lesson before fives has instead, see pacing.yml.
        EARLIER = Pacing::KINDS.values.find { |kind| kind[:instead_of] == "counting_round" }.freeze

        # @!attribute place [Integer] where the hand stands, in minutes from twelve o'clock, 0..719
        # @!attribute said [Integer] what is said there; in fives, at the twelve 0 to begin with, and 60 once round
        # @!attribute direction [Symbol] `:forward` or `:back`
        # @!attribute lights [Array<Hash>] as those of a {TalkStep}: the numbers said so far
        Hop = Struct.new(:place, :said, :direction, :lights, keyword_init: true)

        # @param step [Curriculum::Step] that a lesson is on
        # @return [Symbol] the kind of item that counts round in it, one of {Pacing::KINDS}' keys
        # @example
        #   CountingRound.kind(Step.find(:half_past)) # :counting_hours
        def self.kind(step)
          ladder = Curriculum::Step.with_times
          ladder.index(step) < ladder.index(Curriculum::Step.find(EARLIER[:before])) ? EARLIER[:id].to_sym : :counting_round
        end

        # @return [Array<Hash>] for each kind its `hand` and its `hops`
        def self.all = [{ kind: :counting_round, hand: :minute, hops: fives }, { kind: :counting_hours, hand: :hour, hops: hours }].freeze

        # @return [Array<Hop>] twelve hops of the long hand forward from the twelve, then twelve back to it
        def self.fives = @fives ||= there_and_back((0..ROUND).step(FIVE)) { |said| { place: said % ROUND, said:, lights: swept(said) } }

        # @return [Array<Hop>] twelve hops of the short hand forward from the twelve, then twelve back to it
        def self.hours
          @hours ||= there_and_back((0..HOURS)) do |hour|
            { place: (hour % HOURS) * ROUND, said: hour.zero? ? HOURS : hour, lights: [].freeze }
          end
        end

        def self.there_and_back(counts)
          there = counts.map { |count| Hop.new(direction: :forward, **yield(count)).freeze }
          back = counts.to_a.reverse.drop(1).map { |count| Hop.new(direction: :back, **yield(count)).freeze }
          [*there, *back].freeze
        end
        private_class_method :there_and_back

        def self.swept(said)
          counts = (FIVE..said).step(FIVE).map { |count| [count, count].freeze }
          (counts.empty? ? [] : [{ kind: :sweep, from: 0, to: said, counts: counts.freeze }.freeze]).freeze
        end
        private_class_method :swept
      end
    end
  end
end
