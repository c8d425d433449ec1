# frozen_string_literal: true

require "lru_redux"
require "rack/attack"

module Vantick
  module Server
    module Http
      # Guessing is slowed down, by the device that guesses (judgement: a whole class can still join at once).
      module Throttle
        # Attempts a minute, by door.
        LIMITS = { "/api/session/login" => 20, "/api/session/first" => 20, "/api/desk/doors" => 60, "/api/desk/seats" => 90 }.freeze
        PERIOD = 60
        SLOWLY = "Too many tries. Wait a minute, then try again."

        # Counts in memory, as long as the server runs; their names change with each period, so those of the last one fall out.
        class Counts
          KEPT = 20_000

          def initialize
            @lock = Mutex.new
            @kept = LruRedux::Cache.new(KEPT)
          end

          def read(key) = @lock.synchronize { @kept[key] }

          def write(key, value, **) = @lock.synchronize { @kept[key] = value }

          def increment(key, amount, **) = @lock.synchronize { @kept[key] = (@kept[key] || 0) + amount }

          def delete(key) = @lock.synchronize { @kept.delete(key) }
        end

        # @return [Class] a Rack middleware, its counts new
        def self.middleware
          Rack::Attack.cache.store = Counts.new
          LIMITS.each do |path, limit|
            Rack::Attack.throttle(path, limit:, period: PERIOD) do |request|
              Http::ClientAddress.device(request.env) if request.post? && request.path == path
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
