# frozen_string_literal: true

require "json"
require "rbconfig"
require "timeout"
require "tmpdir"

module Vantick
  module Server
    module Pages
      # The pages of a file, one after the other, from a locked room.
      class Unpacked
        PROGRAM = File.join(ROOT, "unpack.rb")
        # What is said of a file that cannot be read.
        WORDS = { "encrypted" => "This PDF has a password. Save it without one, then add it again.",
                  "unreadable" => "This file is damaged, or not a picture of paper. Scan it again.",
                  "too_many_pages" => "This file has more than 200 pages. Add it in parts.",
                  "too_large" => "This picture is far too large. Take the photo again.",
                  "no_picture" => "This isn't a PDF or a picture. Choose the file from the copier or phone.",
                  "heic" => "This photo is HEIC. In the phone's camera settings choose JPEG, or share the photo as JPEG.",
                  "failed" => "This file took too long to read. Scan it again.",
                  "missing" => "Reading paper needs Debian's packages %<packages>s. Ask whoever looks after this computer." }.freeze

        # The file cannot be read.
        class Unreadable < StandardError
          def initialize(reason, **parts) = super(format(WORDS.fetch(reason, WORDS["failed"]), **parts))
        end

        # A page.
        # @!attribute number [Integer] from 1
        # @!attribute picture [Core::Paper::GrayImage]
        # @!attribute jpeg [String]
        # @!attribute light [Integer, nil] of a photograph, how light its paper was before it was evened out, 0 black to 255
        Page = Struct.new(:number, :picture, :jpeg, :light, keyword_init: true)

        # @param path [String]
        # @param from [Integer] the first page wanted
        # @param kept [Boolean] whether it is a page that was read before, as it was kept
        def initialize(path, from: 1, kept: false)
          @path = path
          @from = from
          @kept = kept
        end

        # @yield [Integer, Page, nil] how many pages there are, and a page; no page at first
        # @raise [Unreadable]
        def each(&)
          packages = Tools.missing
          raise Unreadable.new("missing", packages: packages.join(", ")) if packages.any?

          from = @from
          from = Outside::LockedRoom.open(:paper) { |room| read(room, from, &) } while from
        rescue Outside::LockedRoom::TooMuch
          raise Unreadable, "failed"
        end

        private

        # A page at which the program fell is none that can be read; it goes on with the next.
        # @return [Integer, nil] the page to go on with; nothing where all were read
        def read(room, from)
          room.start_ruby(PROGRAM, @path, room.folder, from.to_s, *("kept" if @kept))
          pages = 0
          last = from - 1
          while (line = room.gets)
            message = parse_line(line)
            pages = message[:pages] || pages
            last = message[:number] || last
            yield pages, (page(message, room.folder) if message[:number])
          end
          raise Unreadable, "failed" if pages.zero?

          after_fall(last, pages) { |fallen| yield pages, fallen } if last < pages
        end

        def parse_line(line)
          message = JSON.parse(line, symbolize_names: true)
          raise Unreadable, message[:trouble] if message[:trouble] && !message[:number]

          message
        end

        def after_fall(last, pages)
          yield Page.new(number: last + 1)
          last + 2 if last + 2 <= pages
        end

        def page(entry, folder)
          return Page.new(number: entry[:number]) if entry[:trouble]

          names = %w[grey jpg].map { |kind| File.join(folder, "#{entry[:number]}.#{kind}") }
          grey, jpeg = names.map { |name| File.binread(name) }
          names.each { |name| File.delete(name) }
          Page.new(number: entry[:number], picture: Core::Paper::GrayImage.new(entry[:width], entry[:height], grey), jpeg:,
                   light: entry[:light])
        end
      end
    end
  end
end
