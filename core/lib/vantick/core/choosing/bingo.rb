# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Cards of bingo and the order in which the times are called. Every time is on about as many cards as any other, no two cards are
      # alike, and nobody waits long for a line after the first who has one.
      class Bingo
        NUMBERS = GameTimes::NUMBERS
        PLACES = NUMBERS[:places]
        SIDE = NUMBERS[:line]
        LINES = (Array.new(SIDE) { |row| Array.new(SIDE) { |at| (row * SIDE) + at } } +
                 Array.new(SIDE) { |column| Array.new(SIDE) { |at| (at * SIDE) + column } }).freeze
        # Cards drawn for one that no other child has.
        TRIES = 50

        # @return [Array<Array<DialTime>>] by card, {PLACES} of them, a row after the other
        attr_reader :cards
        # @return [Array<DialTime>] in the order in which they are called
        attr_reader :calls

        # @param times [Array<DialTime>] that are called, {PLACES} or more
        # @param cards [Integer] how many
        # @param seed [Integer]
        # @raise [InvalidCount] for fewer times than a card has
        # @example
        #   Bingo.new(GameTimes.choose(step: Step.find(:quarters), count: 20), cards: 26, seed: 1).first_line # the call of the first line
        def initialize(times, cards:, seed: 0)
          raise InvalidCount.new("Bingo needs at least #{PLACES} clocks.", nearest: PLACES) if times.length < PLACES

          random = Random.new(seed)
          @cards = dealt(times, cards, random).freeze
          @calls = order(times, random).freeze
          freeze
        end

        # @return [Integer] the call with which the first card has a line; 0 where there are no cards
        def first_line = lines(calls).min || 0

        # @return [Integer] the call with which every card has one
        def last_line = lines(calls).max || 0

        private

        # Those that were dealt least come first, so that all are on about as many cards.
        def dealt(times, count, random)
          used = Hash.new(0)
          Array.new(count).each_with_object([]) do |_, made|
            card = other(made) { drawn(times, used, random) } || other(made) { times.sample(PLACES, random:) } || times.first(PLACES)
            card.each { |time| used[time] += 1 }
            made << card
          end
        end

        def other(made)
          TRIES.times do
            card = yield
            return card if made.none? { |earlier| earlier.sort == card.sort }
          end
          nil
        end

        def drawn(times, used, random)
          times.shuffle(random:).sort_by.with_index { |time, at| [used[time], at] }.first(PLACES).shuffle(random:)
        end

        def order(times, random)
          tries = Array.new(NUMBERS[:orders]) { times.shuffle(random:) }
          cards.empty? ? tries.first : tries.min_by { |try| waiting(try) }
        end

        # How an order is worse than another: a line that comes too early, then how long others wait after it.
        def waiting(order)
          first, last = lines(order).minmax
          [[NUMBERS[:first] - first, 0].max, last - first]
        end

        # By card, the call with which it has a line.
        def lines(order)
          called = order.each.with_index(1).to_h
          cards.map { |card| LINES.map { |line| line.map { |place| called.fetch(card[place]) }.max }.min }
        end
      end
    end
  end
end
