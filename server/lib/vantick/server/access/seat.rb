# frozen_string_literal: true

require "rack/utils"

module Vantick
  module Server
    module Access
      # The place of a child at a desk, by the key that their device was given.
      module Seat
        COOKIE = "vantick.desk"
        KEY = "vantick.seat"

        class << self
          # @return [Hash, nil]
          def of(env)
            token = Rack::Utils.parse_cookies(env)[COOKIE]
            token && env.fetch(Access::WithStore::KEY).desks.seat(token, Clock.now)
          end

          # Gives the device its key, until the browser is closed.
          # @return [Symbol, nil] why the device's seat is gone
          def lost(env)
            token = Rack::Utils.parse_cookies(env)[COOKIE]
            token && env.fetch(Access::WithStore::KEY).desks.lost(token)
          end

          def give(headers, token)
            Rack::Utils.set_cookie_header!(headers, COOKIE, { value: token, path: "/api/desk", httponly: true, same_site: :strict })
          end

          def take(headers) = Rack::Utils.delete_cookie_header!(headers, COOKIE, { path: "/api/desk" })
        end
      end
    end
  end
end
