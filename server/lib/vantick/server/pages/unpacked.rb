# frozen_string_literal: true

require "json"
require "rbconfig"
require "timeout"
require "tmpdir"

module Vantick
  module Server
    module Pages
      # The pages of a file, one after the other, from a process of its own that has only so much memory and time.
      class Unpacked
        PROGRAM = File.join(ROOT, "unpack.rb")
        # Bytes of memory, and seconds for a page (judgement: a page takes half of one).
        MEMORY = 2_000_000_000
        PATIENCE = 40
        # What is said of a file that cannot be read.
        WORDS = { "encrypted" => "This PDF is locked with a password: save it without one, then read it again.",
                  "unreadable" => "This file is damaged or no picture of paper: scan it again.",
                  "too_many_pages" => "This file has more than 200 pages: read it in parts.",
                  "too_large" => "This picture is far larger than any paper: photograph it anew.",
                  "no_picture" => "This is no PDF, JPEG or PNG file: choose the copier's or the phone's own file.",
                  "failed" => "This file took too long or too much to read: scan it again.",
                  "missing" => "Reading paper needs Debian's packages %<packages>s: ask whoever looks after this computer." }.freeze

        # The file cannot be read.
        class Unreadable < StandardError
          def initialize(reason, **parts) = super(format(WORDS.fetch(reason, WORDS["failed"]), **parts))
        end

        # A page.
        # @!attribute number [Integer] from 1
        # @!attribute picture [Core::Paper::Picture]
        # @!attribute jpeg [String]
        Page = Struct.new(:number, :picture, :jpeg, keyword_init: true)

        # @param path [String]
        # @param from [Integer] the first page wanted
        def initialize(path, from: 1)
          @path = path
          @from = from
        end

        # @yield [Integer, Page, nil] how many pages there are, and a page; no page at first
        # @raise [Unreadable]
        def each(&)
          packages = Tools.missing
          raise Unreadable.new("missing", packages: packages.join(", ")) if packages.any?

          Dir.mktmpdir { |folder| read(folder, &) }
        end

        private

        def read(folder)
          output, input = IO.pipe
          pid = spawn(RbConfig.ruby, "-rbundler/setup", PROGRAM, @path, folder, @from.to_s, out: input, err: File::NULL, rlimit_as: MEMORY)
          input.close
          pages = 0
          while (line = patiently { output.gets })
            told = JSON.parse(line, symbolize_names: true)
            raise Unreadable, told[:trouble] if told[:trouble] && !told[:number]

            pages = told[:pages] || pages
            yield pages, (page(told, folder) if told[:number])
          end
          raise Unreadable, "failed" if pages.zero?
        ensure
          finish(pid, output)
        end

        def page(told, folder)
          return Page.new(number: told[:number]) if told[:trouble]

          names = %w[grey jpg].map { |kind| File.join(folder, "#{told[:number]}.#{kind}") }
          grey, jpeg = names.map { |name| File.binread(name) }
          names.each { |name| File.delete(name) }
          Page.new(number: told[:number], picture: Core::Paper::Picture.new(told[:width], told[:height], grey), jpeg:)
        end

        def patiently(&)
          Timeout.timeout(PATIENCE, &)
        rescue Timeout::Error
          raise Unreadable, "failed"
        end

        def finish(pid, output)
          output&.close
          return unless pid

          Process.kill("KILL", pid)
          Process.wait(pid)
        rescue Errno::ESRCH, Errno::ECHILD
          nil
        end
      end
    end
  end
end
