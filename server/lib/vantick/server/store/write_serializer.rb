# frozen_string_literal: true

require "monitor"

module Vantick
  module Server
    module Store
      # Writers of this process wait for each other here, which costs less than asking SQLite again and again. Nobody waits for
      # ever: neither here nor for another process that holds the file.
      module WriteSerializer
        # Seconds that a request waits for its turn and for the file together; while the file is known to be held, seconds
        # that others still wait (judgement: a person waits three seconds, and a held file must not hold every thread).
        PATIENCE = 3.0
        WHILE_HELD = 0.05
        # Seconds for which a file that was found held is taken to be so.
        HELD_FOR = 1.0
        STEP = 0.001
        # When a thread's wait for the file ends, and when its turn does.
        WAITS = :vantick_waits_until
        TURN_ENDS = :vantick_turn_ends

        def self.extended(database)
          database.instance_exec do
            @turn = Monitor.new
            @waiting = @turn.new_cond
            @held_until = 0.0
          end
        end

        def self.now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

        # A transaction, when it is this thread's turn.
        def transaction(...)
          return super if @writer == Thread.current

          take_turn
          begin
            super
          ensure
            give_turn
          end
        end

        # Asked by SQLite while another process holds the file.
        # @param tries [Integer] how often it has asked in this wait
        # @return [Boolean] whether to ask again
        def wait_for_file(tries)
          Thread.current[WAITS] = WriteSerializer.now + patience if tries.zero?
          if WriteSerializer.now < [Thread.current[WAITS], Thread.current[TURN_ENDS]].compact.min
            sleep STEP
            return true
          end
          @held_until = WriteSerializer.now + HELD_FOR
          false
        end

        # While it is opened, one start waits for another's migrations.
        # @param seconds [Numeric]
        def with_patience(seconds)
          @patience = seconds
          yield
        ensure
          @patience = nil
        end

        private

        def patience = @patience || (WriteSerializer.now < @held_until ? WHILE_HELD : PATIENCE)

        def take_turn
          ends = WriteSerializer.now + patience
          @turn.synchronize do
            while @writer
              left = ends - WriteSerializer.now
              raise Busy if left <= 0

              @waiting.wait(left)
            end
            @writer = Thread.current
          end
          # What is left of the patience is for the file.
          Thread.current[TURN_ENDS] = WriteSerializer.now < @held_until ? WriteSerializer.now + WHILE_HELD : ends
        end

        def give_turn
          Thread.current[TURN_ENDS] = nil
          @turn.synchronize do
            @writer = nil
            @waiting.signal
          end
        end
      end
    end
  end
end
