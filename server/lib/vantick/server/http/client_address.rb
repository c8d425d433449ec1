# frozen_string_literal: true

require "ipaddr"
require "socket"

module Vantick
  module Server
    module Http
      # Where a request comes from: the address of its own connection. What a header says of it anybody can write, so that it
      # counts only where the connection is that of a proxy named at the start, and is taken away everywhere else.
      class ClientAddress
        # Set where a header said that the request was passed on, whoever sent it.
        FORWARDED = "vantick.forwarded"
        HEADERS = %w[HTTP_FORWARDED HTTP_X_FORWARDED_FOR HTTP_X_FORWARDED_HOST HTTP_X_FORWARDED_PROTO HTTP_X_FORWARDED_SCHEME
                     HTTP_X_FORWARDED_SSL HTTP_X_FORWARDED_PORT HTTP_X_REAL_IP HTTP_X_CLIENT_IP HTTP_CLIENT_IP HTTP_VIA].freeze
        LOCAL_NAMES = %w[localhost ip6-localhost].freeze
        # Of an IPv6 address, what names a network: one device can take any address in it.
        NETWORK_BITS = 64

        class << self
          # @param text [String, nil] addresses or networks with commas between, as `VANTICK_PROXY` has them
          # @return [Array<IPAddr>]
          # @raise [ArgumentError] where one of them is no address
          def proxies(text)
            text.to_s.split(/[\s,]+/).reject(&:empty?).map { |proxy| IPAddr.new(proxy) }.freeze
          rescue IPAddr::Error
            raise ArgumentError, "VANTICK_PROXY needs addresses, such as 192.168.1.5. #{text.inspect} isn't one."
          end

          # @param env [Hash]
          # @return [String] by what a device is told from others
          def device(env)
            address = parsed(env["REMOTE_ADDR"]) or return env["REMOTE_ADDR"].to_s
            address = address.native
            (address.ipv6? ? address.mask(NETWORK_BITS) : address).to_s
          end

          # @param env [Hash]
          # @return [Boolean] whether somebody sits at the machine itself, and opened Vantick by a name of that machine alone
          def here?(env)
            !env[FORWARDED] && own?(parsed(env["REMOTE_ADDR"])) && local_name?(env["HTTP_HOST"].to_s)
          end

          # @param text [String, nil]
          # @return [IPAddr, nil]
          def parsed(text)
            IPAddr.new(text.to_s.strip.delete("[]"))
          rescue IPAddr::Error
            nil
          end

          private

          # A page of somebody else's can have a name of its own lead here, but not one of these.
          def local_name?(host)
            name = host.sub(/:\d+\z/, "").downcase
            LOCAL_NAMES.include?(name) || own?(parsed(name))
          end

          # One of this machine's own addresses: whoever comes from there sits at it, and no name stands between.
          def own?(address)
            return false unless address

            address = address.native
            address.loopback? || Socket.ip_address_list.any? { |own| own.ip_address.split("%").first == address.to_s }
          end
        end

        # @param proxies [Array<IPAddr>]
        def initialize(app, proxies)
          @app = app
          @proxies = proxies
        end

        def call(env)
          named = HEADERS.select { |name| env.key?(name) }
          return @app.call(env) if named.empty?

          env[FORWARDED] = true
          forward(env) if proxy?(env["REMOTE_ADDR"])
          named.each { |name| env.delete(name) }
          @app.call(env)
        end

        private

        def proxy?(text)
          address = self.class.parsed(text)&.native
          !address.nil? && @proxies.any? { |proxy| proxy.include?(address) }
        rescue IPAddr::Error
          false
        end

        # What the named proxy says: the nearest address that is none of the proxies, the name and the scheme it was asked by.
        def forward(env)
          hops = env["HTTP_X_FORWARDED_FOR"].to_s.split(",").map(&:strip)
          from = hops.reverse.find { |hop| !proxy?(hop) }
          env["REMOTE_ADDR"] = from if self.class.parsed(from)
          asked_by(env)
        end

        def asked_by(env)
          host = last(env, "HTTP_X_FORWARDED_HOST")
          scheme = last(env, "HTTP_X_FORWARDED_PROTO")
          env["HTTP_HOST"] = host if host
          return unless %w[http https].include?(scheme)

          env["rack.url_scheme"] = scheme
          env["HTTPS"] = scheme == "https" ? "on" : "off"
          env["SERVER_PORT"] = scheme == "https" ? "443" : "80"
        end

        def last(env, name) = env[name].to_s.split(",").last&.strip
      end
    end
  end
end
