# frozen_string_literal: true

module Vantick
  module Server
    module Work
      # The copies that Vantick itself has made of a school's file, wherever they lie: of days and weeks, before upgrades and restores.
      module Copies
        # Names another folder, best on another disk, in which copies lie as well.
        ANOTHER = "VANTICK_COPIES"
        # What lies beside a copy, or is none yet.
        NO_COPY = /-(wal|shm|journal)\z|#{Regexp.escape(Store::SafeCopy::PART)}/

        class << self
          # @param store [Store::Database]
          # @return [Array<String>] the folder beside the school's file, and another one where it is named
          def folders(store) = folders_of(store.path)

          # @param store [Store::Database]
          # @return [Array<String>] the files, those of other schools not among them
          def all(store)
            found = folders(store).flat_map { |folder| Dir[File.join(folder, "*.sqlite3")] }
            beside = Dir["#{store.path}.before*"].grep_v(NO_COPY)
            (found + beside).sort.select { |file| Store::SameSchool.of?(store.db, file) }
          end

          # Takes away the parts of copies that were left when Vantick was stopped in the midst of one.
          # @param store [Store::Database]
          def sweep(store)
            parts = [*folders(store), File.dirname(store.path)].flat_map { |folder| Dir[File.join(folder, "*#{Store::SafeCopy::PART}*")] }
            parts.each { |part| FileUtils.rm_f(part) unless File.exist?("/proc/#{maker(part)}") }
          end

          # A school's file that is not there, or holds nothing, beside copies of it is no new school.
          # @param path [String]
          # @return [Array(String, Integer), nil] the newest copy, and how many children are in it
          def left_behind(path)
            return unless Store::SameSchool.nothing?(path)

            copies = folders_of(path).flat_map { |folder| Dir[File.join(folder, "*.sqlite3")] }
            copies.sort_by { |copy| -File.mtime(copy).to_f }.each do |copy|
              children = counted(copy)
              return [copy, children] if children.positive?
            end
            nil
          end

          private

          # @return [Integer] the process that made a part
          def maker(part) = part[/#{Regexp.escape(Store::SafeCopy::PART)}(\d+)/o, 1].to_i

          def folders_of(path) = [File.dirname(Store::SafeCopy.in_folder(path, "x")), ENV.fetch(ANOTHER, "")].reject(&:empty?)

          def counted(copy)
            Store::SafeCopy.look(copy) { |database| database.table_exists?(:children) ? database[:children].count : 0 }
          rescue Store::Unusable
            0
          end
        end
      end
    end
  end
end
