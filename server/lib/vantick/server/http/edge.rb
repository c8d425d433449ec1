# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # The outermost place: whatever goes wrong behind it, the answer is a problem that says what to do. Mistakes of
      # Vantick's own are written to standard error by class and place, never with what somebody typed.
      class Edge
        OURS = "Nothing you typed is at fault. Try again; if it happens again, start Vantick anew."
        BUSY = "The database is busy just now: nothing you typed is lost. Try again in a moment."
        FULL = "The disk of the machine that Vantick runs on is full, so nothing can be kept: make room there, then try again."
        READ_ONLY = "Vantick may not write to its file: see on the machine it runs on who owns it, then try again."
        DAMAGED = "The school's file is damaged. Stop Vantick on the machine it runs on, and put the last copy back: bin/vantick restore."
        STOPPING = "Vantick is being stopped. Try again in a moment."
        # What Puma raises where something still runs when it is stopped; not every server has one.
        STOPPED = %w[Puma::ThreadPool::ForceShutdown].freeze
        # Seconds after which it is worth trying again.
        RETRY_AFTER = 2
        # What can be said where a part of the stack said nothing that a person could use.
        GENERAL = { 404 => "There is nothing at this address.", 405 => "This address takes other requests.",
                    406 => "Vantick sends its pages as they are: your browser asked for something else.",
                    413 => "This is more than Vantick takes at once." }.freeze
        UNCLEAR = "The request cannot be read: open the page again."
        PASSING = { Sequel::PoolTimeout => BUSY, SQLite3::BusyException => BUSY, SQLite3::LockedException => BUSY,
                    SQLite3::FullException => FULL, SQLite3::IOException => FULL, Errno::ENOSPC => FULL,
                    SQLite3::ReadOnlyException => READ_ONLY, SQLite3::CantOpenException => READ_ONLY,
                    SQLite3::CorruptException => DAMAGED, SQLite3::NotADatabaseException => DAMAGED }.freeze

        # @param log [#puts]
        # @param busy [Array<Class>] mistakes of others that say no more than that the database is busy
        def initialize(app, log: $stderr, busy: [])
          @app = app
          @passing = { **busy.to_h { |kind| [kind, BUSY] }, **PASSING }
          @log = log
        end

        def call(env)
          status, headers, body = @app.call(env)
          return [status, headers, body] if status < 400 || headers["content-type"].to_s.start_with?(Http::Problem::CONTENT_TYPE)

          body.close if body.respond_to?(:close)
          tell(status)
        rescue StandardError, SystemStackError, NotImplementedError => e
          mistake(e, env)
        end

        private

        def tell(status, words = nil, headers = {})
          words ||= status >= 500 ? OURS : GENERAL.fetch(status, UNCLEAR)
          code, own, body = Http::Problem.new(status, words).to_a
          [code, { **own, **headers }, body]
        end

        def mistake(error, env)
          cause = error.respond_to?(:wrapped_exception) && error.wrapped_exception ? error.wrapped_exception : error
          write(error, cause, env)
          words = @passing.find { |kind, _| cause.is_a?(kind) }&.last
          words = STOPPING if STOPPED.include?(cause.class.name)
          words ? tell(503, words, "retry-after" => RETRY_AFTER.to_s) : tell(500)
        end

        # The door as the contract writes it: an address may hold anything.
        def write(error, cause, env)
          door = env[OpenapiFirst::REQUEST]&.then { |request| request.path_definition if request.known? } || "an unknown address"
          place = error.backtrace.to_a.find { |line| line.include?("/vantick/") }.to_s[%r{vantick/.*}] || error.backtrace.to_a.first
          method = env["REQUEST_METHOD"].to_s[/\A[A-Z]{1,10}\z/]
          @log.puts "Vantick: #{[error.class, cause.class].uniq.join(', ')} at #{method} #{door}, in #{place}"
        end
      end
    end
  end
end
