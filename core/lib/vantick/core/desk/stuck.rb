# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # Whether a child at a device needs somebody (judgement; the numbers stand here alone).
      module Stuck
        RUNNING = 2
        SECONDS = 60

        # @param answers [Array<Boolean>] whether each task so far was right at first try, oldest first
        # @param seconds [Numeric] since the child did something
        # @return [Symbol, nil] `:running` after so many tasks wrong in a row, `:quiet` after so long without an answer
        def self.why(answers, seconds:)
          last = answers.last(RUNNING)
          return :running if last.length == RUNNING && last.none?

          :quiet if seconds >= SECONDS
        end
      end
    end
  end
end
