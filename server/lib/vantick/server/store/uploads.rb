# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Files of paper on their way: they come in by parts, each at its own place.
      class Uploads
        # @param database [Sequel::Database]
        # @param scans [Scans]
        def initialize(database, scans)
          @db = database
          @scans = scans
        end

        # Another part of a file; once all is there it waits for its turn.
        # @param data [String]
        # @return [Rows::Scan]
        def receive(id, from, data)
          # One part at a time: the same one sent twice is there once.
          @db.transaction do
            scan = @scans.find(id)
            to = from + data.bytesize
            next scan if to <= scan.received

            refuse("A part of the file is missing. Send the file again.", :at) if from != scan.received
            refuse("The file is larger than announced. Send it again.", :data) if to > scan.bytes

            write(id, from, data)
            @scans.update(id, received: to, state: to == scan.bytes ? "waiting" : "coming")
          end
        end

        # @return [Array(Integer, Integer)] files on their way that are not whole, and bytes of them
        def coming
          rows = @db[:scans].where(state: "coming")
          [rows.count, rows.sum(:bytes).to_i]
        end

        # Files that no row knows of any more.
        def sweep
          known = @db[:scans].select_map(:id).map(&:to_s)
          files = File.directory?(@scans.folder) ? Dir.children(@scans.folder).grep(/\A\d+\z/) : []
          (files - known).each { |name| FileUtils.rm_f(File.join(@scans.folder, name)) }
        end

        private

        # At its own place, whatever is there already.
        def write(id, from, data)
          FileUtils.mkdir_p(@scans.folder)
          File.open(@scans.file(id), File::RDWR | File::CREAT | File::BINARY, SchoolFile::OWN_ALONE) do |kept|
            kept.truncate(from)
            kept.pwrite(data, from)
          end
        end

        def refuse(words, field) = raise(Core::Error.new(words, field:))
      end
    end
  end
end
