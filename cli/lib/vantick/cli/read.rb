# frozen_string_literal: true

module Vantick
  class CLI
    # `read 7:45`: everything a dial says at a time.
    class Read < Command
      def run(arguments) = each_time(arguments) { |time| line(Core::Reading::DialFacts.of(time, conventions)) }
    end
  end
end
