# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # The outermost place: whatever goes wrong behind it, the answer is a problem that says what to do. Mistakes of
      # Vantick's own are written to standard error by class and place, never with what somebody typed.
      class ErrorBoundary
        OURS = "It's not something you typed. Try again. If it happens again, restart Vantick."
        BUSY = "Vantick is busy right now. Nothing you typed is lost. Try again in a moment."
        FULL = "The disk of the computer that runs Vantick is full. Make room there, then try again."
        READ_ONLY = "Vantick can't write to its file. Check who owns the file, then try again."
        DAMAGED = "The school's file is damaged. Stop Vantick and restore the last copy: bin/vantick restore."
        STOPPING = "Vantick is stopping. Try again in a moment."
        # What Puma raises where something still runs when it is stopped; not every server has one.
        STOPPED = %w[Puma::ThreadPool::ForceShutdown].freeze
        # Seconds after which it is worth trying again.
        RETRY_AFTER = 2
        # What can be said where a part of the stack said nothing that a person could use.
        GENERAL = { 404 => "There is nothing at this address.", 405 => "This address takes other requests.",
                    406 => "Your browser asked for a kind of page that Vantick doesn't have.",
                    413 => "This is too large to send at once." }.freeze
        UNCLEAR = "The request can't be read. Reload the page."
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
