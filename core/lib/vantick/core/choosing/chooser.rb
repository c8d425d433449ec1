# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Chooses times so that their answers tell misreadings apart: greedily, then by exchanges for as
      # long as the sum rises, from a few beginnings. The same seed gives the same times.
      class Chooser
        # What is left of a pair's doubt after one time that keeps it apart (judgement).
        UNTOLD = 0.25
        # Beginnings tried, of which the best is kept (judgement: more gain under one per cent).
        BEGINNINGS = 2
        # Times chosen at once (judgement: more than a lesson ever needs).
        MOST = 60
        # Clocks of a check: more do not fit on half a page.
        IN_A_CHECK = 12
        # Hours before this are night; of the times of a day at most so large a share lies there (judgement).
        NIGHT_TO = 6
        NIGHT_SHARE = 0.2

        class << self
          # @param step [Step]
          # @param task [Task]
          # @param count [Integer] how many times, 1..{MOST} and no more than the step has
          # @param seed [Integer]
          # @param avoid [Array<DialTime>] times rather not used, such as yesterday's
          # @return [Choice]
          # @raise [InvalidCount]
          def choose(step:, task:, count:, seed: 0, avoid: []) = from(TimePool.of_step(step, task), count:, seed:, avoid:)

          # The same from any pool of times.
          # @param pool [TimePool]
          # @param count [Integer] how many times, 1..{MOST} and no more than the pool has
          # @param seed [Integer]
          # @param avoid [Array<DialTime>] times rather not used
          # @param twelve [Boolean] whether one of many times lies in the hour of twelve
          # @return [Choice]
          # @raise [InvalidCount]
          def from(pool, count:, seed: 0, avoid: [], twelve: true)
            Choice.new(pool.discrimination, chooser(pool, count, seed, avoid, twelve).times)
          end

          # The same without exchanges: times come at once and tell a little less.
          # @param pool [TimePool]
          # @param count [Integer] as for {.from}
          # @param seed [Integer]
          # @param avoid [Array<DialTime>] times rather not used
          # @param twelve [Boolean] as for {.from}
          # @return [Choice]
          # @raise [InvalidCount]
          def quickly(pool, count:, seed: 0, avoid: [], twelve: true)
            Choice.new(pool.discrimination, chooser(pool, count, seed, avoid, twelve).quick_times)
          end

          # Of the times of a day, few lie at night, when nobody is up to tell them.
          # @param times [Array<DialTime, DayTime>]
          # @param count [Integer] how many of them are wanted
          # @param seed [Integer]
          # @return [Array<DialTime, DayTime>]
          def by_day(times, count, seed)
            night = times.select { |time| time.is_a?(Dial::DayTime) && time.hour.between?(0, NIGHT_TO - 1) }
            return times if night.empty? || night.length == times.length || times.length - night.length < count

            times - night + night.sample((count * NIGHT_SHARE).floor, random: Random.new(seed))
          end

          private

          def chooser(pool, count, seed, avoid, twelve)
            enough(pool, count)
            balance = Balance.new(by_day(pool.times, count, seed), count, avoid, twelve:)
            new(pool.discrimination, balance, count, Random.new(seed))
          end

          def enough(pool, count)
            most = [MOST, pool.times.length].min
            return if count.is_a?(Integer) && (1..most).cover?(count)

            nearest = count.is_a?(Integer) ? count.clamp(1, most) : most
            raise InvalidCount.new("Choose 1 to #{most} clocks for #{pool.name.downcase}, not #{count.inspect}.", nearest:)
          end
        end

        # @param telling [Discrimination] which pairs each time keeps apart
        # @param balance [Balance] how times should be spread
        # @param count [Integer] of times
        # @param random [Random]
        def initialize(telling, balance, count, random)
          @telling = telling
          @balance = balance
          @count = count
          @random = random
        end

        # @return [Array<DialTime>]
        def times = Array.new(BEGINNINGS) { improve(begin_greedily) }.min_by { |times| rank(times) }

        # @return [Array<DialTime>] chosen greedily, once
        def quick_times = begin_greedily

        private

        # Smaller is better: first what is wrong with the spread, then what the times cannot tell.
        def rank(times) = [*@balance.faults(times), -@telling.worth(times).round(9)]

        def begin_greedily
          shuffled = @balance.pool.shuffle(random: @random).each_with_index.to_h
          @count.times.reduce([]) { |chosen, _| chosen + [best_next(chosen) { |time| shuffled[time] }] }
        end

        # The time that adds most; among equals the one the block puts highest.
        def best_next(chosen, &)
          gains = @telling.gains(chosen)
          candidates = @balance.next_from(chosen).group_by { |time| @telling.kind(time) }
          _, equals = candidates.max_by { |kind, _| gains[kind].round(9) }
          equals.max_by(&)
        end

        def improve(times)
          best = rank(times)
          loop do
            better = exchanges(times).find { |other| (rank(other) <=> best).negative? } or return times
            times = better
            best = rank(times)
          end
        end

        # Each time for another of the pool; and minutes between two of the times, where all are needed.
        def exchanges(times) = @balance.tight? ? replaced(times) + crossed(times) : replaced(times)

        def replaced(times)
          times.lazy.map do |out|
            rest = times - [out]
            rest + [best_next(rest) { |time| time == out ? 1 : 0 }]
          end
        end

        def crossed(times)
          times.combination(2).lazy.filter_map do |one, other|
            pair = [Dial::DialTime.at(one.hour, other.minute), Dial::DialTime.at(other.hour, one.minute)]
            rest = times - [one, other]
            rest + pair if pair.uniq.length == 2 && !pair.intersect?(rest) && (pair - @balance.pool).empty?
          end
        end
      end
    end
  end
end
