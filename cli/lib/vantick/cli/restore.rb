# frozen_string_literal: true

module Vantick
  class CLI
    # `restore FILE`: puts a copy in the place of the school's file, while Vantick does not run. What was there is kept.
    class Restore < SchoolCommand
      private

      def work(arguments)
        other = !arguments.delete("--other-school").nil?
        copy = words(arguments, "the copy, such as data/copies/day-2026-03-02.sqlite3")
        before = Server::Store::SafeCopy.restore(copy, path, stamp: Time.now.strftime("%Y%m%d-%H%M%S"), other:)
        @output.puts "Restored #{copy} to #{path}."
        @output.puts "What was there before is now #{before}" if before
      end
    end
  end
end
