# frozen_string_literal: true

require "ipaddr"
require "puma"
require "puma/configuration"
require "puma/launcher"
require "socket"

module Vantick
  module Server
    # A server that stays until it is stopped: where it listens, what is printed of it, and how much it takes on at once.
    class Serving
      # What keeps it from starting, in words for whoever starts it.
      class Refused < StandardError; end

      # Requests taken on at once: those that are worked on or wait for it (`Http::Lanes`), and some more of desks.
      THREADS = Http::Lanes::PLACES + Http::Lanes::WAITING + Http::Lanes::DESKS + 1
      # Requests answered on one connection before the next connection's turn, where others wait: a kept-alive connection
      # that says nothing must not hold a thread.
      IN_A_ROW = 1
      # Seconds for what still runs when it is stopped.
      LAST_ANSWERS = 5
      PORTS = (1..65_535)
      LEFT_BEHIND = <<~WORDS.chomp
        There is no school in %<path>s, but there are copies of one. The newest has %<children>d children: %<copy>s
        To go on with it:    bin/vantick restore %<copy>s
        To start a new school beside it:    %<command>s --new
      WORDS

      # @param environment [Hash{String => String}] `VANTICK_HOST`, `VANTICK_PORT`, `VANTICK_DB`, `VANTICK_ADDRESS`,
      #   `VANTICK_PROXY`, `VANTICK_TIME_ZONE` and `VANTICK_COMMAND`, as there are
      # @param out [IO]
      # @raise [Refused]
      def initialize(environment, out: $stdout)
        @environment = environment
        @out = out
        @host = environment.fetch("VANTICK_HOST", "127.0.0.1")
        @port = port(environment.fetch("VANTICK_PORT", "4567"))
        @path = environment.fetch("VANTICK_DB") { File.expand_path("../data/vantick.sqlite3", ROOT) }
      end

      # Runs until it is stopped.
      # @raise [Refused, Store::Unusable]
      def run
        # What is written from here on is for whoever runs Vantick, and for nobody else on the machine.
        File.umask(0o077)
        Store::SchoolDay.zone = @environment["VANTICK_TIME_ZONE"]
        proxies = Http::ClientAddress.proxies(@environment["VANTICK_PROXY"])
        check
        ENV["VANTICK_ADDRESS"] ||= room if room
        store = Store::Database.open(@path)
        workers = Work::WorkerProcess.start(store)
        launch(Server.app(store:, proxies:), store)
        workers.stop
        store.close
        @out.puts "Vantick has stopped. Everything is saved."
      rescue ArgumentError => e
        raise Refused, e.message
      end

      private

      def check
        check_free
        check_school
      end

      def port(text)
        number = Integer(text, 10, exception: false)
        return number if PORTS.cover?(number)

        raise Refused, "The port must be a number from #{PORTS.min} to #{PORTS.max}, such as 4567, not #{text.inspect}."
      end

      # Copies without the file that they are of: it was moved, or the disk is another. Nobody's school begins anew by mistake.
      def check_school
        return if @environment["VANTICK_NEW"] == "yes"

        copy, children = Work::Copies.left_behind(@path)
        raise Refused, format(LEFT_BEHIND, path: @path, copy:, children:, command:) if copy
      end

      def command = @environment.fetch("VANTICK_COMMAND", "bin/start")

      def check_free
        TCPServer.new(@host, @port).close
      rescue SystemCallError, SocketError => e
        again = "#{command} --port 4568"
        raise Refused, "Vantick can't listen on #{@host}, port #{@port} (#{e.class.name.split('::').last}). " \
                       "Try another, such as: #{again}"
      end

      def launch(app, store)
        events = Puma::Events.new
        events.on_booted do
          ready
          # What the first teacher would wait for.
          Thread.new { Show::FirstAsked.new(store).prepare }
        end
        log_writer = Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr)
        Puma::Launcher.new(configuration(app), log_writer:, events:).run
      end

      def configuration(app)
        listen = "tcp://#{bracketed(@host)}:#{@port}"
        Http::BoundedBodies.apply
        Puma::Configuration.new do |config|
          config.bind listen
          config.app app
          config.threads 1, THREADS
          config.max_fast_inline IN_A_ROW
          config.force_shutdown_after LAST_ANSWERS
          config.raise_exception_on_sigterm false
          # What is no method is refused by the contract, in words.
          config.supported_http_methods :any
          config.http_content_length_limit Http::BoundedBodies::MOST
          config.lowlevel_error_handler { |error, _env, status| Http::BoundedBodies.response_to(error, status) }
        end
      end

      def ready
        # Where it listens to all, the machine itself has a name of its own for it.
        here = all?(@host) ? "localhost" : bracketed(@host)
        @out.puts "Vantick is ready: http://#{here}:#{@port}   (Ctrl-C stops it)"
        @out.puts "For devices in the room: #{room}/join" if room
      end

      def bracketed(host) = host.include?(":") ? "[#{host}]" : host

      # Where devices in the room find Vantick; nothing where it listens to this machine alone.
      def room
        address = IPAddr.new(@host == "localhost" ? "127.0.0.1" : @host)
        return if address.loopback?
        return @environment["VANTICK_ADDRESS"] if @environment["VANTICK_ADDRESS"]

        found = all?(@host) ? own_address : @host
        found && "http://#{bracketed(found)}:#{@port}"
      rescue IPAddr::Error
        "http://#{@host}:#{@port}"
      end

      # @param host [String]
      def all?(host) = ["0.0.0.0", "::"].include?(host)

      # One of a network at home or in a school before all others.
      def own_address
        all = Socket.ip_address_list.select { |address| address.ipv4? && !address.ipv4_loopback? }
        (all.find(&:ipv4_private?) || all.first)&.ip_address
      end
    end
  end
end
