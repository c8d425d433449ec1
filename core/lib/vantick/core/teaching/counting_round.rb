# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Counting once round the dial by fives with the long hand hopping from numeral to numeral, forward and back
      # again (common practice, no source).
      module CountingRound
        FIVE = 5
        ROUND = 60

        # @!attribute minute [Integer] where the hand stands, 0..55
        # @!attribute said [Integer] what is said there; at the twelve 0 to begin with, and 60 once round
        # @!attribute direction [Symbol] `:forward` or `:back`
        # @!attribute lights [Array<Hash>] as those of a {TalkStep}: the numbers said so far
        Hop = Struct.new(:minute, :said, :direction, :lights, keyword_init: true)

        # @return [Array<Hop>] twelve hops forward from the twelve, then twelve back to it
        def self.hops
          @hops ||= begin
            forward = (0..ROUND).step(FIVE).map { |said| hop(said, :forward) }
            [*forward, *forward.reverse.drop(1).map { |one| hop(one.said, :back) }].freeze
          end
        end

        def self.hop(said, direction)
          counts = (FIVE..said).step(FIVE).map { |count| [count, count].freeze }
          lights = counts.empty? ? [] : [{ kind: :sweep, from: 0, to: said, counts: counts.freeze }.freeze]
          Hop.new(minute: said % ROUND, said:, direction:, lights: lights.freeze).freeze
        end
        private_class_method :hop
      end
    end
  end
end
