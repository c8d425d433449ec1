# frozen_string_literal: true

module Vantick
  class CLI
    # `choose --step fives --task dial_to_words --count 5 --seed 7`: times, and what they can tell.
    class Choose < Command
      def run(arguments)
        wanted = { count: 5, seed: 0 }
        left = parse(arguments) { |parser| options(parser, wanted) }
        missing = %i[step task].find { |name| !wanted.key?(name) }
        raise UsageError, "name the #{missing}, such as #{missing == :step ? '--step fives' : '--task dial_to_words'}" if missing
        raise UsageError, "choose takes no #{Core.excerpt(left.first)}: write every choice as an option" if left.any?

        choice = Core::Chooser.choose(**wanted)
        line(times: choice.times.map(&:digital), pairs_told_apart: choice.pairs_told_apart,
             pairs_possible: choice.pairs_possible, chances: choice.chances)
      end

      private

      def options(parser, wanted)
        parser.on("--step STEP") { |id| wanted[:step] = Core::Step.find(id) }
        parser.on("--task TASK") { |id| wanted[:task] = Core::Task.find(id) }
        parser.on("--count COUNT", OptionParser::DecimalInteger) { |count| wanted[:count] = count }
        parser.on("--seed SEED", OptionParser::DecimalInteger) { |seed| wanted[:seed] = seed }
        parser.on("--avoid TIMES", Array) { |times| wanted[:avoid] = times.map { |time| Core::DialTime.parse(time) } }
      end
    end
  end
end
