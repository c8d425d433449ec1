# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # The order of exercises on a child's sheet: a few easy ones to begin with, the others in an order of the sheet's own, so that
      # a look at the neighbour's sheet helps nobody.
      module OwnOrder
        # Exercises that come first, the easiest (judgement).
        EASY_FIRST = 2
        # Orders tried, of which the one with the fewest exercises at the neighbour's place is taken (judgement: with ten exercises
        # one without any is found nearly always).
        TRIED = 40

        class << self
          # @param items [Array] each with a `time`
          # @param random [Random]
          # @param beside [Array] the items of the sheet before, in its order
          # @return [Array] the same items
          # @example a first sheet
          #   OwnOrder.of(items, Random.new(1))
          def of(items, random, beside: [])
            sorted = items.sort_by { |item| [Curriculum::Difficulty.of(item.time), item.time] }
            easy = sorted.take(EASY_FIRST)
            rest = sorted.drop(EASY_FIRST)
            tries = Array.new(TRIED) { easy.shuffle(random:) + rest.shuffle(random:) }
            tries.min_by { |order| alike(order, beside) }
          end

          # @param one [Array] items in their order
          # @param other [Array] those of the neighbour
          # @return [Integer] places at which both have the same time
          def alike(one, other) = one.zip(other).count { |mine, theirs| theirs && mine.time == theirs.time }
        end
      end
    end
  end
end
