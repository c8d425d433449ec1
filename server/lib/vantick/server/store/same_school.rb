# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Whether two files are of one school: told by what sessions are sealed with, which every school makes for itself.
      module SameSchool
        class << self
          # A file that cannot be read, or in which nothing is yet, is no objection.
          # @param database [Sequel::Database]
          # @param path [String]
          # @return [Boolean]
          def of?(database, path)
            return true if nothing?(path)

            secrets = [secret(database), SafeCopy.look(path) { |there| secret(there) unless empty?(there) }].compact
            secrets.uniq.length < 2
          rescue Unusable
            true
          end

          # @param path [String]
          # @return [Boolean] whether there is no file, or one without anything in it
          def nothing?(path)
            return true if !File.exist?(path) || File.empty?(path)

            SafeCopy.look(path) { |database| database.tables.empty? }
          end

          private

          # A school that was begun and in which nothing is.
          def empty?(database) = database.table_exists?(:classes) && database[:classes].empty?

          def secret(database) = database.table_exists?(:secrets) ? database[:secrets].get(:secret) : nil
        end
      end
    end
  end
end
