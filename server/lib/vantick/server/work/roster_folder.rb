# frozen_string_literal: true

module Vantick
  module Server
    module Work
      # Lists that the school's system puts into a folder at night (`VANTICK_ROSTERS`). They are offered to whoever keeps the school, and
      # nothing of them is taken before somebody has looked.
      module RosterFolder
        NAMED = "VANTICK_ROSTERS"
        # Files of lists, and the most bytes of one (as of one that is sent).
        FILES = /\A[^.].*\.(zip|csv|tsv|txt)\z/i
        LARGEST = 600_000
        # So many are offered, the newest first.
        SHOWN = 5

        class << self
          # @return [Array<Hash>] `name`, `at` and `bytes` of each, the newest first; none where no folder is named
          def files
            found = known.map { |name| [name, File.stat(path(name))] }
            found.sort_by { |_, stat| -stat.mtime.to_f }.first(SHOWN)
                 .map { |name, stat| { name:, at: stat.mtime.utc.iso8601, bytes: stat.size } }
          rescue SystemCallError
            []
          end

          # @param name [String] as it is offered
          # @return [String] the bytes
          # @raise [Core::Error]
          def read(name)
            refuse("This file isn't in the folder any more.") unless known.include?(name)
            refuse("This file is larger than #{LARGEST / 1000} kB.") if File.size(path(name)) > LARGEST
            File.binread(path(name))
          rescue SystemCallError
            refuse("This file can't be read. Ask whoever looks after the computer.")
          end

          private

          # Nothing that leads elsewhere is followed.
          def known
            folder = ENV.fetch(NAMED, "")
            return [] if folder.empty? || !File.directory?(folder)

            Dir.children(folder).select { |name| name.valid_encoding? && name.match?(FILES) && File.lstat(path(name)).file? }
          end

          def path(name) = File.join(ENV.fetch(NAMED), name)

          def refuse(words) = raise(Core::Error.new(words, field: :from))
        end
      end
    end
  end
end
