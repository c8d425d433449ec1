# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # So many requests of one kind at a time; others wait their turn.
      class Lane
        # @param places [Integer] worked on at once
        # @param waiting [Numeric] that wait for it at most
        # @param patience [Numeric] seconds that one waits at most
        def initialize(places, waiting:, patience:)
          @places = places
          @most = waiting
          @patience = patience
          @lock = Mutex.new
          @free = ConditionVariable.new
          @taken = 0
          @waiting = 0
        end

        # @return [Integer] that wait for a place now
        def waiting = @lock.synchronize { @waiting }

        # @return [Boolean] whether there was a place
        def take
          @lock.synchronize do
            return false if full? && @waiting >= @most

            wait if full?
            return false if full?

            @taken += 1
            true
          end
        end

        def give_back
          @lock.synchronize do
            @taken -= 1
            @free.signal
          end
        end

        private

        def full? = @taken >= @places

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

        def wait
          ends = now + @patience
          @waiting += 1
          @free.wait(@lock, ends - now) while full? && now < ends
        ensure
          @waiting -= 1
        end
      end
    end
  end
end
