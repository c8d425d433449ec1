# frozen_string_literal: true

require "etc"

module Vantick
  module Server
    module Work
      # The workers' processes, as the server has them: started with it, woken, started again where one falls, and ended with it. Ruby runs
      # one thing at a time in a process: whatever is heavy is done in another, so that no child waits for it.
      class WorkerProcess
        PROGRAM = File.join(ROOT, "worker.rb")
        # At most so many, however many cores there are (judgement: each takes a hundred megabytes).
        MOST = 3
        # Seconds until one that fell is started again.
        PAUSE = 1
        # Seconds for what it does when the server ends.
        LAST = 3

        # @param store [Store::Database]
        # @param count [Integer] as many as there are cores, less the one for the server
        # @return [WorkerProcess]
        def self.start(store, count: (Etc.nprocessors - 1).clamp(1, MOST))
          new(store, count).tap { |workers| Runner.workers[store.path] = workers }
        end

        def initialize(store, count)
          @path = store.path
          @inputs = {}
          @pids = {}
          @lock = Mutex.new
          @threads = Array.new(count) { |place| Thread.new { keep(place) } }
        end

        # Something has come.
        def wake
          @lock.synchronize { @inputs.each_value { |input| tell(input) } }
          nil
        end

        # Ends them; what they were at is resumed at the next start.
        def stop
          @stopping = true
          Runner.workers.delete(@path)
          @lock.synchronize { @inputs.each_value(&:close) }
          @threads.each { |thread| thread.join(LAST) }
          @lock.synchronize { @pids.each_value { |pid| Process.kill(:KILL, pid) } }
          @threads.each(&:join)
        end

        private

        def keep(place)
          until @stopping
            begun(place)
            sleep PAUSE unless @stopping
          end
        end

        def begun(place)
          reader, writer = IO.pipe
          pid = spawn(environment(place), RbConfig.ruby, "-rbundler/setup", PROGRAM,
                      in: reader, out: File::NULL, pgroup: true)
          reader.close
          @lock.synchronize do
            @inputs[place] = writer
            @pids[place] = pid
          end
          writer.close if @stopping
          ended(pid, place)
        end

        # Nobody's number is kept any longer than the process is there.
        def ended(pid, place)
          sleep PAUSE / 4.0 until @lock.synchronize { Process.wait(pid, Process::WNOHANG) && @pids.delete(place) && @inputs.delete(place) }
        end

        def environment(place)
          { "VANTICK_DB" => @path, "VANTICK_PLACE" => place.to_s, "BUNDLE_GEMFILE" => File.expand_path("../Gemfile", ROOT) }
        end

        # A full pipe says it already; one that has fallen is started again.
        def tell(input)
          input.write_nonblock(".")
        rescue IO::WaitWritable, Errno::EPIPE, IOError
          nil
        end
      end
    end
  end
end
