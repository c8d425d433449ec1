# frozen_string_literal: true

module Vantick
  module Server
    module Work
      # What the worker's process does until the server that started it ends: jobs as they come, and the copies of the day. Of all who work
      # with one file at a time, one has each place; the others wait for it, and see in the file how far the work is.
      class Worker
        # Seconds between two looks at the queue, where nobody says that something has come (another Vantick on the same file does not).
        LOOK = 2
        # Seconds between two looks at the day.
        DAY = 600
        # How much it gives way to the server on the same processor.
        NICE = 10

        # @param store [Store::Database]
        # @param place [Integer] 0 does everything, all others only what teachers wait for
        # @param input [IO] a byte on it says that something has come; its end, that the server has ended
        # @param ends [Proc] what is done then: what is in the midst of a job is resumed at the next start
        def initialize(store, place:, input:, log: $stderr, ends: -> { exit!(0) })
          @store = store
          @place = place
          @input = input
          @log = log
          @ends = ends
          @turn = Mutex.new
          @come = ConditionVariable.new
        end

        # Goes on until the server ends.
        def run
          Process.setpriority(Process::PRIO_PROCESS, 0, NICE)
          watch
          hold
          take_up if @place.zero?
          loop { turn }
        end

        private

        # The end of the server is its own, at once.
        def watch
          Thread.new do
            loop { woken(@input.readpartial(64)) }
          rescue IOError
            @ends.call
          end
        end

        def woken(_signs)
          @turn.synchronize do
            @something = true
            @come.signal
          end
        end

        # Until something comes, or the next look.
        def rest
          @turn.synchronize do
            @come.wait(@turn, LOOK) unless @something
            @something = false
          end
        end

        def hold
          @lock = File.open("#{@store.path}.worker-#{@place}.lock", File::RDWR | File::CREAT, Store::SchoolFile::OWN_ALONE)
          sleep LOOK until @lock.flock(File::LOCK_EX | File::LOCK_NB)
        end

        # What a fall has left.
        def take_up
          @store.jobs.resume
          @store.jobs.add(Pages::Queue::KIND, {}) if @store.scans.waiting?
          Copies.sweep(@store)
          @store.uploads.sweep
          Outside::LockedRoom.sweep
        end

        def turn
          runner.run
          copy if @place.zero?
          rest
        rescue StandardError => e
          @log.puts "Vantick: work beside requests stopped (#{e.class} in #{File.basename(e.backtrace.first.to_s)}), and goes on."
          sleep LOOK
        end

        def runner
          kinds = @place.zero? ? Server.work : Server.work.slice(*Server::WAITED_FOR)
          @runner ||= Runner.new(@store, kinds:, log: @log)
        end

        def copy
          return if @copied && @copied > Store::WriteSerializer.now - DAY

          @copied = Store::WriteSerializer.now
          Server.make_ready(@store)
          DailyCopies.new(@store, log: @log).make(Date.jd(Store::SchoolDay.today))
        end
      end
    end
  end
end
