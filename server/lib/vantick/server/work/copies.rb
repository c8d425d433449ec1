# frozen_string_literal: true

module Vantick
  module Server
    module Work
      # The copies that Vantick itself has made of a school's file, wherever they lie: of days and weeks, before upgrades and restores.
      module Copies
        # Names another folder, best on another disk, in which copies lie as well.
        ANOTHER = "VANTICK_COPIES"

        class << self
          # @param store [Store::Database]
          # @return [Array<String>] the folder beside the school's file, and another one where it is named
          def folders(store)
            [File.dirname(Store::SafeCopy.in_folder(store.path, "x")), another].compact
          end

          # @return [Array<String>] the files, those of other schools not among them
          def all(store)
            found = folders(store).flat_map { |folder| Dir[File.join(folder, "*.sqlite3")] }
            beside = Dir["#{store.path}.before*"].reject { |file| file.match?(/-(wal|shm|journal)\z|#{Store::SafeCopy::PART}/o) }
            found.sort + beside.sort.select { |file| Store::SafeCopy.same_school?(store.db, file) }
          end

          # Takes away what was left half made.
          def sweep(store) = [*folders(store), File.dirname(store.path)].each { |folder| Store::SafeCopy.sweep(folder) }

          private

          def another
            folder = ENV[ANOTHER].to_s
            return if folder.empty?

            FileUtils.mkdir_p(folder, mode: 0o700)
            folder
          end
        end
      end
    end
  end
end
