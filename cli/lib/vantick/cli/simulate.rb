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

        child = Core::SimulatedChild.new(seed: @wanted[:seed], **@how)
        Core::Chooser.choose(**@wanted).times.each { |time| told(time, child.answer(time, @wanted[:task])) }
      end

      private

      def options(parser)
        parser.on("--misreading ID") { |id| @how[:misreadings] << Core::Misreading.find(id) }
        parser.on("--step STEP") { |id| @wanted[:step] = Core::Step.find(id) }
        parser.on("--task TASK") { |id| @wanted[:task] = Core::Task.find(id) }
        parser.on("--count COUNT", OptionParser::DecimalInteger) { |count| @wanted[:count] = count }
        parser.on("--seed SEED", OptionParser::DecimalInteger) { |seed| @wanted[:seed] = seed }
        SHARES.each { |name| parser.on("--#{name} SHARE", Float) { |share| @how[name] = share_of(name, share) } }
      end

      def share_of(name, share)
        return share if (0..1).cover?(share)

        raise UsageError, "--#{name} is a share from 0 to 1, such as 0.9"
      end

      def told(time, answer)
        marked = Core::Marker.mark(task: @wanted[:task], time:, text: answer)
        line(task: @wanted[:task].id, time: time.digital, answer:, verdict: marked.verdict, misreadings: marked.misreadings)
      end
    end
  end
end
