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

        # @param step [Step]
        # @param task [Task]
        # @param count [Integer] how many times, 1..{MOST} and no more than the step has
        # @param seed [Integer]
        # @param avoid [Array<DialTime>] times rather not used, such as yesterday's
        # @param twelve [Boolean] whether one of many times lies in the hour of twelve
        # @return [Choice]
        # @raise [InvalidCount]
        def self.choose(step:, task:, count:, seed: 0, avoid: [], twelve: true)
          from(step.pool_for(task), name: step.name, telling: Discrimination.for(step, task), task:, count:, seed:, avoid:, twelve:)
        end

        # The same from any pool of times.
        # @param pool [Array<DialTime>]
        # @param name [String] what the pool is called, for those who ask too much of it
        # @param thorough [Boolean] whether exchanges are tried; without, times come at once and tell a little less
        # @param task [Task]
        # @param count [Integer] how many times, 1..{MOST} and no more than the pool has
        # @param seed [Integer]
        # @param avoid [Array<DialTime>] times rather not used
        # @param telling [Discrimination] what the times of the pool can tell
        # @param twelve [Boolean] see {.choose}
        # @return [Choice]
        # @raise [InvalidCount]
        def self.from(pool, name:, task:, count:, seed: 0, avoid: [], telling: Discrimination.new(pool, task), thorough: true, twelve: true)
          most = [MOST, pool.length].min
          unless count.is_a?(Integer) && (1..most).cover?(count)
            nearest = count.is_a?(Integer) ? count.clamp(1, most) : most
            raise InvalidCount.new("Choose 1 to #{most} clocks for #{name.downcase}, not #{count.inspect}.", nearest:)
          end

          chooser = new(telling, Balance.new(Chooser.by_day(pool, count, seed), count, avoid, twelve:), count, Random.new(seed))
          Choice.new(telling, thorough ? chooser.times : chooser.quick_times)
        end

        # Of the times of a day, few lie at night, when nobody is up to tell them.
        # @param pool [Array<DialTime, DayTime>]
        # @param count [Integer] how many of them are wanted
        # @param seed [Integer]
        # @return [Array<DialTime, DayTime>]
        def self.by_day(pool, count, seed)
          night = pool.select { |time| time.is_a?(Dial::DayTime) && time.hour.between?(0, NIGHT_TO - 1) }
          return pool if night.empty? || night.length == pool.length || pool.length - night.length < count

          pool - night + night.sample((count * NIGHT_SHARE).floor, random: Random.new(seed))
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
