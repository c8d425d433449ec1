# frozen_string_literal: true

module Vantick
  class CLI
    # `backup FILE`: a whole copy of the school's file, also while Vantick runs.
    class Backup < SchoolCommand
      private

      def work(arguments)
        to = words(arguments, "the file for the copy, such as monday.sqlite3")
        Server::Store::SafeCopy.backup(path, to)
        @output.puts "Copied #{path} to #{to} (#{(File.size(to) / 1024.0).ceil} kB). Store it where the school stores confidential files."
      end
    end
  end
end
