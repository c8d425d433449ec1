# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # What a browser is told of every page: scripts, styles and pictures from here alone, and in nobody's frame.
      class Headers
        POLICY = { "default-src" => "'self'", "img-src" => "'self' data:", "style-src" => "'self'", "script-src" => "'self'",
                   "object-src" => "'none'", "base-uri" => "'none'", "form-action" => "'self'",
                   "frame-ancestors" => "'none'" }.map { |what, from| "#{what} #{from}" }.join("; ").freeze
        SENT = {
          "content-security-policy" => POLICY, "x-content-type-options" => "nosniff", "x-frame-options" => "DENY",
          "referrer-policy" => "no-referrer", "cross-origin-opener-policy" => "same-origin",
          "cross-origin-resource-policy" => "same-origin",
          "permissions-policy" => "camera=(), microphone=(), geolocation=()"
        }.freeze

        # The package that shows the contract writes styles into its page. Nobody is signed in by it, and it sends nothing.
        OF_DOCS = { "content-security-policy" => POLICY.sub("style-src 'self'", "style-src 'self' 'unsafe-inline'") }.freeze

        def initialize(app)
          @app = app
        end

        def call(env)
          status, headers, body = @app.call(env)
          return [status, { **headers, **SENT, **OF_DOCS }, body] if env["PATH_INFO"] == WebFiles::DOCS

          own = env["PATH_INFO"].start_with?("/api/") ? { "cache-control" => "no-store", **headers } : headers
          [status, { **own, **SENT, **secured(env, headers) }, body]
        end

        private

        # Behind a named proxy with https no cookie goes out on a line that anybody can read.
        def secured(env, headers)
          return {} unless env["HTTPS"] == "on" && headers["set-cookie"]

          cookies = Array(headers["set-cookie"]).flat_map { |line| line.split("\n") }
          { "set-cookie" => cookies.map { |cookie| cookie.match?(/;\s*secure/i) ? cookie : "#{cookie}; secure" } }
        end
      end
    end
  end
end
