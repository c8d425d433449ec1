# frozen_string_literal: true

module Vantick
  class CLI
    # What commands about a school's own file share. The server's room is only loaded for these.
    class SchoolCommand < Command
      ROOT = File.expand_path("../../../..", __dir__)

      # @raise [UsageError] where the file cannot be worked with, in words
      def run(arguments)
        $LOAD_PATH.unshift(File.join(ROOT, "server/lib")) unless $LOAD_PATH.include?(File.join(ROOT, "server/lib"))
        require "vantick/server"
        File.umask(0o077)
        work(arguments)
      rescue LoadError
        raise UsageError, "the server's packages are missing: run bin/install first"
      rescue Server::Store::Unusable, Server::Store::SafeCopy::Failed, Server::Store::Missing => e
        raise UsageError, e.message
      end

      private

      # @return [String] the school's file
      def path = @path || ENV.fetch("VANTICK_DB") { File.join(ROOT, "data/vantick.sqlite3") }

      # What follows the command, and `--db FILE` for another school's file.
      def words(arguments, wanted)
        found = parse(arguments) { |parser| parser.on("--db FILE") { |file| @path = file } }
        found.length == 1 ? found.first : raise(UsageError, "name #{wanted}: see vantick help")
      end
    end
  end
end
