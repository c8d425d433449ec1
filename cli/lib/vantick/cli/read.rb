# frozen_string_literal: true

module Vantick
  class CLI
    # `read 7:45`: everything a dial says at a time.
    class Read < Command
      def run(arguments)
        all = false
        words = parse(arguments) { |parser| parser.on("--all") { all = true } }
        times(words, all).each { |time| line(Core::DialFacts.of(time)) }
      end
    end
  end
end
