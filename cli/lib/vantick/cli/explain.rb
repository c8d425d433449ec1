# frozen_string_literal: true

module Vantick
  class CLI
    # `explain 4:49`: the reading in short steps, each with what lights up on the dial.
    class Explain < Command
      def run(arguments) = each_time(arguments) { |time| line(time: time.digital, steps: steps(time)) }

      private

      def steps(time)
        Core::Reading::TalkThrough.steps(time, conventions).map.with_index(1) { |step, number| { number:, **step.to_h } }
      end
    end
  end
end
