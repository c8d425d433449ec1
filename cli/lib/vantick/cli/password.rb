# frozen_string_literal: true

require "io/console"

module Vantick
  class CLI
    # `password NAME`: another password for a teacher who forgot theirs, by whoever sits at the machine itself.
    class Password < SchoolCommand
      private

      def work(arguments)
        name = words(arguments, "the teacher")
        raise UsageError, "there is no file #{path}" unless File.file?(path)

        store = Server::Store::Database.open(path)
        account = store.teachers.find(name)
        Server::Access::Passwords.set(store, account[:id], ask_password(account[:login]))
        @output.puts "#{account[:login]} signs in with the new password from now on, and is signed out everywhere."
      ensure
        store&.close
      end

      # Not shown while it is typed; from a script it is the first line of standard input.
      def ask_password(name)
        return @input.gets.to_s.chomp unless @input.respond_to?(:tty?) && @input.tty?

        @output.print "A new password for #{name} (it is not shown): "
        @input.noecho(&:gets).to_s.chomp.tap { @output.puts }
      end
    end
  end
end
