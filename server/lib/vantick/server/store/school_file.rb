# frozen_string_literal: true

require "fileutils"

module Vantick
  module Server
    module Store
      # A school's file from outside: who may read it, whether it is one of Vantick's, and how it comes to the newest form.
      module SchoolFile
        # Files of SQLite's beside the one that has the name.
        BESIDE = ["", "-wal", "-shm"].freeze
        OWN_ALONE = 0o600
        WHY = { SQLite3::NotADatabaseException => :corrupt, SQLite3::CorruptException => :corrupt, SQLite3::FullException => :full,
                SQLite3::CantOpenException => :unwritable, SQLite3::ReadOnlyException => :unwritable,
                SQLite3::PermissionException => :unwritable, SQLite3::BusyException => :busy, SQLite3::LockedException => :busy,
                Errno::ENOSPC => :full, SystemCallError => :unwritable, Busy => :busy }.freeze

        class << self
          # Children's names are for nobody else on the machine: also where an older Vantick made the file.
          # @param path [String]
          def prepare(path)
            FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
            BESIDE.map { |ending| "#{path}#{ending}" }.select { |file| File.file?(file) && File.owned?(file) }
                  .each { |file| File.chmod(OWN_ALONE, file) }
            # SQLite gives the files beside it the same mode. Never opened again here: closing it would end SQLite's own locks.
            File.open(path, File::CREAT | File::EXCL | File::WRONLY, OWN_ALONE).close unless File.exist?(path)
          end

          # @param error [Exception]
          # @return [Symbol, nil] why the file cannot be worked with, as {Unusable} has it
          def why(error)
            cause = error.respond_to?(:wrapped_exception) && error.wrapped_exception ? error.wrapped_exception : error
            WHY.find { |kind, _| cause.is_a?(kind) }&.last
          end

          # All migrations or none: a power cut at any moment leaves the file as it was. What was there is copied first.
          # @param database [Sequel::Database]
          # @param path [String]
          # @raise [Unusable]
          def bring_up(database, path)
            version = checked_version(database, path)
            return if version == newest

            copy_first(database, path, version) if version.positive?
            database.transaction do
              Sequel::IntegerMigrator.new(database, Database::MIGRATIONS, use_transactions: false).run
            end
          rescue Sequel::DatabaseError => e
            raise e.message.match?(/already exists|duplicate column/) ? Unusable.new(:half_made, path) : e
          end

          # @return [Integer] the number of the newest migration
          def newest = @newest ||= Dir[File.join(Database::MIGRATIONS, "*.rb")].map { |file| File.basename(file).to_i }.max

          # @param database [Sequel::Database]
          # @param path [String]
          # @return [Integer] the migration that the file is at; 0 for a new one
          # @raise [Unusable] where it is not one that this Vantick can work with
          def checked_version(database, path)
            raise Unusable.new(:corrupt, path) unless database.fetch("PRAGMA quick_check(1)").single_value == "ok"

            version = version(database)
            raise Unusable.new(:foreign, path) if version.nil? && database.tables.any?
            raise Unusable.new(:newer, path) if version.to_i > newest

            version.to_i
          end

          private

          # @param version [Integer] that the file is at
          def copy_first(database, path, version)
            to = SafeCopy.in_folder(path, "before-upgrade-from-#{version}.sqlite3")
            SafeCopy.write(database, to) { |copy| copy[:schema_info].get(:version) == version } unless File.exist?(to)
          end

          def version(database) = database.table_exists?(:schema_info) ? database[:schema_info].get(:version) : nil
        end
      end
    end
  end
end
