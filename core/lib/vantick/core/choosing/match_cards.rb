# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Times for cards to match. They are places of a grid of hours by minutes, two or more of each: every time shares its hour with
      # another and its minutes with another, so that no pair is found by one hand alone. Where a step has one minute only, its
      # hours are all that there is to read.
      module MatchCards
        # Pairs of the smallest grid.
        LEAST = 4

        class << self
          # @param step [Step]
          # @param count [Integer] {LEAST} or more, but for 5, which no grid has
          # @param seed [Integer]
          # @return [Array<DialTime>]
          # @raise [InvalidCount]
          # @example
          #   MatchCards.choose(step: Step.find(:quarters), count: 4) # such as 3:15, 3:45, 8:15 and 8:45
          def choose(step:, count:, seed: 0)
            pool = step.pool.reject(&:hidden_hand?)
            random = Random.new(seed)
            chosen = pool.map(&:minute).uniq.one? ? hours_alone(pool, count, random) : grid(pool, count, random)
            (chosen || refuse(step, count)).shuffle(random:)
          end

          # @param step [Step]
          # @param count [Integer]
          # @return [Boolean] whether there are so many
          def fits?(step, count)
            pool = step.pool.reject(&:hidden_hand?)
            return (LEAST..pool.length).cover?(count) if pool.map(&:minute).uniq.one?

            shapes(pool, count).any?
          end

          private

          def hours_alone(pool, count, random) = (pool.sample(count, random:) if (LEAST..pool.length).cover?(count))

          def grid(pool, count, random)
            high, wide = shapes(pool, count).min_by { |shape| [shape.reduce(:*), (shape[0] - shape[1]).abs] } || return
            minutes = pool.map(&:minute).uniq.sample(wide, random:)
            hours = hours_with(pool, minutes).sample(high, random:)
            # Where hands hide each other there may be too few hours with all of these minutes.
            return grid(pool, count, random) if hours.length < high

            (hours.product(minutes) - hours.zip(minutes).first((high * wide) - count)).map { |place| Dial::DialTime.at(*place) }
          end

          def hours_with(pool, minutes) = pool.group_by(&:hour).select { |_, times| (minutes - times.map(&:minute)).empty? }.keys

          # Hours by minutes that hold so many times; what is over is left out along the diagonal, and two remain of each.
          def shapes(pool, count)
            return [] unless count.is_a?(Integer) && count >= LEAST

            sides = [pool.map(&:hour), pool.map(&:minute)].map { |all| (2..[all.uniq.length, count].min).to_a }
            sides.reduce(:product).select { |high, wide| holds?(high, wide, count) }
          end

          def holds?(high, wide, count)
            over = (high * wide) - count
            narrow = [high, wide].min
            over.zero? || (narrow > 2 && over.between?(1, narrow))
          end

          def refuse(step, count)
            nearest = (1..step.pool.length).select { |many| fits?(step, many) }.min_by { |many| [(many - count.to_i).abs, -many] }
            words = "There are not #{count.inspect} pairs of cards for #{step.name.downcase}. Choose fewer."
            raise InvalidCount.new(words, nearest:)
          end
        end
      end
    end
  end
end
