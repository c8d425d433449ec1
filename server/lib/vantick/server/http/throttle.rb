# frozen_string_literal: true

require "rack/attack"

module Vantick
  module Server
    module Http
      # Guessing is slowed down, by the device that guesses (judgement: a whole class can still join at once).
      module Throttle
        # Attempts a minute, by door.
        LIMITS = { "/api/session/login" => 20, "/api/session/first" => 20, "/api/desk/doors" => 60, "/api/desk/seats" => 90 }.freeze
        PERIOD = 60
        SLOWLY = "Too many tries: wait a minute, then try again."

        # Counts in memory, as long as the server runs.
        class Counts
          def initialize
            @lock = Mutex.new
            @kept = {}
          end

          def read(key) = @lock.synchronize { alive(key)&.first }

          def write(key, value, expires_in: PERIOD, **) = @lock.synchronize { @kept[key] = [value, now + expires_in] }

          def increment(key, amount, expires_in: PERIOD, **)
            @lock.synchronize do
              forget
              value, ends = alive(key) || [0, now + expires_in]
              @kept[key] = [value + amount, ends]
              value + amount
            end
          end

          def delete(key) = @lock.synchronize { @kept.delete(key) }

          private

          def alive(key) = @kept[key]&.then { |kept| kept if kept.last > now }

          def forget = @kept.delete_if { |_, (_, ends)| ends <= now }

          # A clock that nobody can set.
          def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        end

        # @return [Class] a Rack middleware, its counts new
        def self.middleware
          Rack::Attack.cache.store = Counts.new
          LIMITS.each do |path, limit|
            Rack::Attack.throttle(path, limit:, period: PERIOD) do |request|
              Http::Caller.device(request.env) if request.post? && request.path == path
            end
          end
          Rack::Attack.throttled_responder = lambda do |_request|
            status, headers, body = Http::Problem.new(429, SLOWLY).to_a
            [status, { **headers, "retry-after" => PERIOD.to_s }, body]
          end
          Rack::Attack
        end
      end
    end
  end
end
