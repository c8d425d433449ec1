# frozen_string_literal: true

require "fileutils"
require "timeout"
require "tmpdir"
require "yaml"

module Vantick
  module Server
    # What comes from outside: files that anybody may have made.
    module Outside
      # A process that works on such a file: with a folder of its own, hardly any environment, and only so much of the machine. It is
      # ended with all that it has started, and its folder goes with it.
      class LockedRoom
        LIMITS = YAML.safe_load_file(File.join(__dir__, "limits.yml"), symbolize_names: true).each_value(&:freeze).freeze
        NAME = "vantick-room-"
        # What a program needs to be found.
        KEPT = %w[PATH].freeze

        # It took too long, or too much.
        class TooMuch < StandardError; end

        # @param kind [Symbol] a key of {LIMITS}
        # @yieldparam room [LockedRoom]
        # @return [Object] what the block gives
        # @example
        #   LockedRoom.open(:codes) { |room| room.start("zbarimg", "one.png"); room.read }
        def self.open(kind)
          room = new(LIMITS.fetch(kind))
          yield room
        ensure
          room&.close
        end

        # Folders that were left when Vantick was stopped in the midst of it.
        def self.sweep
          Dir[File.join(Dir.tmpdir, "#{NAME}*")].each do |folder|
            pid = File.basename(folder).delete_prefix(NAME).to_i
            FileUtils.rm_rf(folder) unless pid.positive? && File.exist?("/proc/#{pid}")
          end
        end

        # @return [String] the room's own folder
        attr_reader :folder

        # @param limits [Hash]
        def initialize(limits)
          @limits = limits
          @folder = Dir.mktmpdir("#{NAME}#{Process.pid}-")
        end

        # @param name [String]
        # @param bytes [String]
        # @return [String] where they lie
        def keep(name, bytes) = File.join(folder, name).tap { |path| File.binwrite(path, bytes) }

        # @param command [Array<String>]
        def start(*command)
          @output, input = IO.pipe
          @pid = spawn(environment, *command, in: File::NULL, out: input, err: File::NULL, chdir: folder, pgroup: true,
                                              unsetenv_others: true, umask: 0o077, rlimit_core: 0, rlimit_as: @limits[:memory],
                                              rlimit_cpu: @limits[:seconds], rlimit_fsize: @limits[:files])
        ensure
          input&.close
        end

        # Ruby, with the packages of this Vantick where this process found them: to look for them anew takes longer than to read a list.
        def start_ruby(*arguments)
          start(RbConfig.ruby, "--disable=did_you_mean,error_highlight", *$LOAD_PATH.map { |path| "-I#{path}" }, *arguments)
        end

        # @return [String, nil] the next line of what it says
        # @raise [TooMuch]
        def gets = patiently { @output.gets }

        # @return [String] all that it says
        # @raise [TooMuch]
        def read = patiently { @output.read }

        # @return [Boolean] whether it came to its end by itself, and well
        # @raise [TooMuch]
        def well?
          pid = @pid
          @pid = nil
          patiently { Process.wait2(pid).last.exitstatus&.zero? || false }
        ensure
          end_group(pid)
        end

        # Ends whatever runs in it yet, and takes its folder away.
        def close
          @output&.close
          end_group(@pid)
          FileUtils.rm_rf(folder)
        end

        private

        def environment
          { **ENV.to_h.slice(*KEPT), "HOME" => folder, "TMPDIR" => folder, "LC_ALL" => "C.UTF-8" }
        end

        def patiently(&)
          Timeout.timeout(@limits[:patience], TooMuch, &)
        end

        # Whatever it has started is in its group.
        def end_group(pid)
          return unless pid

          Process.kill("KILL", -pid)
          Process.wait(pid)
        rescue Errno::ESRCH, Errno::ECHILD
          nil
        end
      end
    end
  end
end
