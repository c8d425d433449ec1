# frozen_string_literal: true

module Vantick
  class CLI
    # `simulate --misreading next_hour_early --step fives ...`: what a made-up child writes, one line a time.
    class Simulate < Command
      SHARES = %i[consistency careless slips].freeze

      def run(arguments)
        @wanted = { count: 5, seed: 0 }
        @how = { misreadings: [] }
        nothing_left(parse(arguments) { |parser| options(parser) })
        missing = %i[step task].find { |name| !@wanted.key?(name) }
        raise UsageError, "name the #{missing}, such as #{missing == :step ? '--step fives' : '--task dial_to_words'}" if missing

        child = Core::Simulation::SimulatedChild.new(seed: @wanted[:seed], **@how)
        read_arguments.each { |time, mistake| write_answer(time, child.answer(time, @wanted[:task], mistake:), mistake) }
      end

      private

      # What the child is asked, each with the mistake to spot where there is one.
      def read_arguments
        return Core::Choosing::Chooser.choose(**@wanted).times.map { |time| [time, nil] } unless @wanted[:task].notation == :mistake

        Core::Choosing::Mistakes.choose(**@wanted.slice(:step, :count, :seed)).map { |mistake| [mistake.time, mistake] }
      end

      def options(parser)
        parser.on("--misreading ID") { |id| @how[:misreadings] << Core::Reading::Misreading.find(id) }
        parser.on("--step STEP") { |id| @wanted[:step] = Core::Curriculum::Step.find(id) }
        parser.on("--task TASK") { |id| @wanted[:task] = Core::Tasks::Task.find(id) }
        parser.on("--count COUNT", OptionParser::DecimalInteger) { |count| @wanted[:count] = count }
        parser.on("--seed SEED", OptionParser::DecimalInteger) { |seed| @wanted[:seed] = seed }
        SHARES.each { |name| parser.on("--#{name} SHARE", Float) { |share| @how[name] = share_of(name, share) } }
      end

      def share_of(name, share)
        return share if (0..1).cover?(share)

        raise UsageError, "--#{name} is a share from 0 to 1, such as 0.9"
      end

      def write_answer(time, answer, mistake)
        said = mistake&.said&.words
        marked = Core::Marking::Marker.mark(task: @wanted[:task], time:, text: answer, said:)
        line(**{ task: @wanted[:task].id, time: time.digital, said:, answer:, verdict: marked.verdict,
misreadings: marked.causes }.compact)
      end
    end
  end
end
