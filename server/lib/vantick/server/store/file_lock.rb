# frozen_string_literal: true

require "fileutils"

module Vantick
  module Server
    module Store
      # Who works with a school's file: many servers at once may, and nobody takes it away from under them.
      class FileLock
        # @param path [String] of the school's file
        # @return [FileLock] as long as the file is worked with
        # @raise [Unusable] while it is being replaced
        def self.shared(path) = new(path, File::LOCK_SH)

        # @param path [String]
        # @return [FileLock] while the file is replaced
        # @raise [Unusable] while somebody works with it
        def self.alone(path) = new(path, File::LOCK_EX)

        # @param path [String]
        # @param kind [Integer]
        def initialize(path, kind)
          FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
          @file = File.open("#{path}.lock", File::RDWR | File::CREAT, 0o600)
          return if @file.flock(kind | File::LOCK_NB)

          @file.close
          raise Unusable.new(:busy, path)
        rescue SystemCallError
          raise Unusable.new(:unwritable, path)
        end

        def close = @file.close
      end
    end
  end
end
