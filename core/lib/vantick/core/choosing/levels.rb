# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Three levels on one step: the easiest third of its times, the middle and the hardest.
      module Levels
        COUNT = 3

        class << self
          # @param step [Step]
          # @param task [Task]
          # @return [Array<Array<DialTime>>] three pools, easiest first
          def pools(step, task)
            ordered = step.pool_for(task).sort_by { |time| [Curriculum::Difficulty.of(time), time] }
            ordered.each_slice((ordered.length / COUNT.to_f).ceil).to_a
          end

          # @param step [Step]
          # @param task [Task]
          # @param count [Integer] how many times each level has
          # @param seed [Integer]
          # @param avoid [Array<DialTime>]
          # @return [Array<Choice>] three, easiest first, no time in two of them
          # @raise [InvalidCount]
          def choose(step:, task:, count:, seed: 0, avoid: [])
            pools(step, task).map { |times| Chooser.from(TimePool.new(times, step.name, task), count:, seed:, avoid:) }
          end

          # @param step [Step]
          # @param task [Task]
          # @return [Integer] exercises that each level can have
          def most(step, task) = pools(step, task).map(&:length).min

          # Where the record says that a child is on a step (judgement): who has it is ready for its hardest times, who has not
          # met it or is learning it begins with the easiest.
          # @param state [Symbol] one of {Knowing::States::ALL}
          # @return [Integer] 1..{COUNT}
          # @example
          #   Levels.of_state(:secure) # 3
          def of_state(state) = { secure: 3, nearly: 2 }.fetch(state, 1)
        end
      end
    end
  end
end
