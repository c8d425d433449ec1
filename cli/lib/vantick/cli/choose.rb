# frozen_string_literal: true

module Vantick
  class CLI
    # `choose --step fives --task dial_to_words --count 5 --seed 7`: times, and what they can tell.
    class Choose < Command
      def run(arguments)
        wanted = { count: 5, seed: 0 }
        left = parse(arguments) { |parser| options(parser, wanted) }
        nothing_left(left)
        missing = %i[step task].find { |name| !wanted.key?(name) }
        raise UsageError, "name the #{missing}, such as #{missing == :step ? '--step fives' : '--task dial_to_words'}" if missing

        levels = wanted.delete(:levels)
        return line(levels: Core::Choosing::Levels.choose(**wanted).map { |choice| describe(choice) }) if levels

        return mistakes(wanted) if wanted[:task].notation == :mistake

        line(describe(Core::Choosing::Chooser.choose(**wanted)))
      end

      private

      def mistakes(wanted)
        chosen = Core::Choosing::Mistakes.choose(**wanted.slice(:step, :count, :seed))
        line(mistakes: chosen.map { |mistake| { time: mistake.time.digital, said: mistake.said.words, misreading: mistake.misreading.id } })
      end

      def describe(choice)
        { times: choice.times.map(&:digital), pairs_told_apart: choice.pairs_told_apart, pairs_possible: choice.pairs_possible,
          chances: choice.chances }
      end

      def options(parser, wanted)
        parser.on("--step STEP") { |id| wanted[:step] = Core::Curriculum::Step.find(id) }
        parser.on("--task TASK") { |id| wanted[:task] = Core::Tasks::Task.find(id) }
        parser.on("--count COUNT", OptionParser::DecimalInteger) { |count| wanted[:count] = count }
        parser.on("--seed SEED", OptionParser::DecimalInteger) { |seed| wanted[:seed] = seed }
        parser.on("--levels") { wanted[:levels] = true }
        parser.on("--avoid TIMES", Array) { |times| wanted[:avoid] = times.map { |time| Core::Dial::DialTime.parse(time) } }
      end
    end
  end
end
