# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Times for cards to match: each has a near miss among the others, with the same hour or the same minutes, so
      # that no pair is found by one hand alone.
      module MatchCards
        class << self
          # @param step [Step]
          # @param count [Integer] 2 or more, and no more than the step has
          # @param seed [Integer]
          # @return [Array<DialTime>]
          # @raise [InvalidCount]
          def choose(step:, count:, seed: 0)
            pool = step.pool.reject(&:hidden_hand?)
            unless count.is_a?(Integer) && (2..pool.length).cover?(count)
              raise InvalidCount, "Choose 2 to #{pool.length} pairs of cards: #{count.inspect} cannot be chosen for #{step.name.downcase}."
            end

            random = Random.new(seed)
            chosen = (count / 2).times.reduce([]) { |so_far, _| so_far + couple(pool - so_far, random) }
            chosen += [single(pool - chosen, chosen, random)] if count.odd?
            chosen.shuffle(random:)
          end

          private

          # A time and a near miss of it.
          def couple(left, random)
            first = left.select { |time| left.any? { |other| near?(time, other) } }.sample(random:)
            [first, left.select { |time| near?(time, first) }.sample(random:)]
          end

          def single(left, chosen, random) = left.select { |time| chosen.any? { |other| near?(time, other) } }.sample(random:)

          def near?(one, other) = one != other && (one.hour == other.hour || one.minute == other.minute)
        end
      end
    end
  end
end
