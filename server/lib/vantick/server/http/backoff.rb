# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Wrong tries, and how long to wait after them: some are free, then each round of as many ends in a rest, twice as long
      # as the one before. Kept in memory, on a clock that nobody can set.
      class Backoff
        # Seconds without a wrong try after which all is forgotten (judgement), and places kept at most.
        FORGOTTEN = 3600
        KEPT = 20_000
        Tried = Struct.new(:tries, :rests_until, :last)

        # @param seconds [Integer]
        # @return [String] as a person would say it
        def self.in_words(seconds)
          return seconds == 1 ? "a second" : "#{seconds} seconds" if seconds < 60

          minutes = (seconds / 60.0).ceil
          minutes == 1 ? "a minute" : "#{minutes} minutes"
        end

        # @param free [Integer] tries in a round
        # @param rest [Numeric] seconds of the first rest
        # @param most [Numeric] seconds of the longest
        # @param clock [#call] seconds that only ever grow
        def initialize(free:, rest:, most:, clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) })
          @free = free
          @rest = rest
          @most = most
          @clock = clock
          @lock = Mutex.new
          @kept = {}
        end

        # Counts a try before it is looked at, so that many at once are all counted.
        # @param key [Object]
        # @return [Integer] seconds to wait; 0 where this one may be looked at
        def try(key)
          @lock.synchronize do
            now = @clock.call
            found = alive(key, now) || keep(key, Tried.new(0, now, now))
            left = found.rests_until - now
            next left.ceil if left.positive?

            count(found, now)
            0
          end
        end

        # @return [Integer] seconds that are left to wait; 0 where it is not resting
        def resting(key)
          @lock.synchronize { alive(key, @clock.call)&.then { |found| [found.rests_until - @clock.call, 0].max.ceil } || 0 }
        end

        # It was not looked at after all.
        # @param key [Object]
        def give_back(key)
          @lock.synchronize do
            found = @kept[key] or next
            found.tries -= 1
            found.rests_until = found.last
          end
        end

        # It was right, or somebody who may says that it is well.
        # @param key [Object]
        def forget(key) = @lock.synchronize { @kept.delete(key) }

        # @yieldparam key [Object] whether to forget it
        def forget_if = @lock.synchronize { @kept.delete_if { |key, _| yield(key) } }

        private

        def count(found, now)
          found.tries += 1
          found.last = now
          return unless (found.tries % @free).zero?

          found.rests_until = now + [@rest * (2**((found.tries / @free) - 1)), @most].min
        end

        def alive(key, now)
          found = @kept[key]
          found if found && [found.last + FORGOTTEN, found.rests_until].max > now
        end

        def keep(key, found)
          @kept.shift if @kept.length >= KEPT
          @kept.delete(key)
          @kept[key] = found
        end
      end
    end
  end
end
