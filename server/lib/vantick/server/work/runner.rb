# frozen_string_literal: true

module Vantick
  module Server
    module Work
      # Works on what waits, one job after the other: in the worker's process where there is one, and else in a thread of this process.
      class Runner
        TURN = Mutex.new
        private_constant :TURN

        class << self
          # Whoever put a job into the queue says so: nobody waits for the next look.
          # @param store [Store::Database]
          # @return [Thread, nil] the thread that works, where it is this process
          def wake(store, log: $stderr)
            worker = workers[store.path]
            worker ? worker.wake : thread(store, log)
          end

          # @return [Hash{String => #wake}] the worker's process, by the file it works with
          def workers = @workers ||= {}

          private

          def thread(store, log)
            TURN.synchronize do
              @threads ||= {}
              running = @threads[store.path]
              return running if running&.alive?

              # Under the same lock; a thread that has ended would hold its school for good.
              @threads[store.path] = Thread.new { new(store, log:).run { |nothing| @threads.delete(store.path) if nothing } }
            end
          end
        end

        # @param store [Store::Database]
        # @param kinds [Hash{String => Proc}] what does each kind of job, of a store and a job; it gives the result
        # @param log [#puts]
        def initialize(store, kinds: Server.work, log: $stderr)
          @store = store
          @kinds = kinds
          @log = log
        end

        # Until nothing waits any more.
        # @yieldparam nothing [Boolean] under the same lock whether this is the end
        def run
          while (job = following { |nothing| yield nothing if block_given? })
            work(job)
          end
        end

        private

        # Whoever wakes it between the last look and its end gets a thread anew.
        def following
          TURN.synchronize { @store.jobs.take(@kinds.keys).tap { |job| yield job.nil? } }
        rescue Sequel::Error, Store::Busy
          @log.puts "Vantick: the school's file cannot be worked with, so work beside requests ends for now."
          nil
        end

        def work(job)
          result = @kinds.fetch(job.kind).call(@store, job)
          @store.jobs.finish(job.id, result)
        rescue Store::Missing
          @store.jobs.finish(job.id, nil)
        rescue StandardError => e
          stumble(job, e)
        end

        def stumble(job, error)
          known = error.is_a?(Erasure::Stopped)
          words = known ? error.message : "#{error.class} in #{File.basename(error.backtrace.first.to_s)}"
          @log.puts "Vantick: #{job.kind} stopped (#{words})."
          @store.jobs.stumble(job, known ? error.message : Erasure::WORDS[Store::SchoolFile.why(error)] || Erasure::WORDS[:other])
        rescue StandardError
          # A full disk takes not even this: it is running still, and begun again at the next start or look.
          nil
        end
      end
    end
  end
end
