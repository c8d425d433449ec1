# frozen_string_literal: true

module Vantick
  class CLI
    # `read 7:45`: everything a dial says at a time.
    class Read < Command
      def run(arguments)
        all = false
        words = parse(arguments) do |parser|
          parser.on("--all") { all = true }
          conventions_option(parser)
        end
        times(words, all).each { |time| line(Core::DialFacts.of(time, conventions)) }
      end
    end
  end
end
