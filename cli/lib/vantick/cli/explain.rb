# frozen_string_literal: true

module Vantick
  class CLI
    # `explain 4:49`: the reading in short steps, each with what lights up on the dial.
    class Explain < Command
      def run(arguments)
        all = false
        words = parse(arguments) do |parser|
          parser.on("--all") { all = true }
          conventions_option(parser)
        end
        times(words, all).each { |time| line(time: time.digital, steps: steps(time)) }
      end

      private

      def steps(time)
        Core::TalkThrough.steps(time, conventions).map.with_index(1) { |step, number| { number:, **step.to_h } }
      end
    end
  end
end
