# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # Children at desks come first, and whoever signs in. Whatever else is asked has a few places at a time, waits for one of them no
      # longer than a moment, and gives way while it is worked on.
      class Lanes
        FIRST = %r{\A/api/(desk|session|health)(/|\z)}
        # Pages and their files are sent, and work out nothing.
        API = "/api/"
        # Requests of teachers that are worked on at once, and those that wait for it (judgement: four pages that open at once, six each);
        # what comes beyond is asked to come again.
        PLACES = 2
        WAITING = 24
        # Seconds that one waits (judgement: a page asks again by itself).
        PATIENCE = 10
        # How much a teacher's request gives way: a desk's turn comes after a quarter of the time.
        GIVES_WAY = -2
        FULL = "Vantick has much to do just now: try again in a moment."

        def initialize(app)
          @app = app
          @lock = Mutex.new
          @free = ConditionVariable.new
          @taken = 0
          @waiting = 0
        end

        def call(env)
          path = env["PATH_INFO"].to_s
          return @app.call(env) if path.match?(FIRST) || !path.start_with?(API)

          take ? beside(env) : Problem.new(503, FULL).to_a.tap { |_, headers, _| headers["retry-after"] = "1" }
        end

        private

        def beside(env)
          Thread.current.priority = GIVES_WAY
          @app.call(env)
        ensure
          Thread.current.priority = 0
          @lock.synchronize do
            @taken -= 1
            @free.signal
          end
        end

        # @return [Boolean] whether there was a place
        def take
          @lock.synchronize do
            return false if @taken >= PLACES && @waiting >= WAITING

            wait if @taken >= PLACES
            return false if @taken >= PLACES

            @taken += 1
            true
          end
        end

        def wait
          ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
          @waiting += 1
          while @taken >= PLACES
            left = ends - Process.clock_gettime(Process::CLOCK_MONOTONIC)
            break unless left.positive?

            @free.wait(@lock, left)
          end
        ensure
          @waiting -= 1
        end
      end
    end
  end
end
