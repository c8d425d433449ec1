# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # How a step that is new to a child begins: one clock is shown step by step, then one is half done already, and only its last part is
      # left to the child. (Worked examples that fade: Renkl and Atkinson, 2003; from memory.)
      module Beginning
        # What is done of the task: how many and which side, the hour, the long hand.
        # @!attribute words [Hash{Symbol => Array<String>}, nil] `count` and `side`
        # @!attribute digits [String, nil]
        # @!attribute minute_hand_degrees [Numeric, nil]
        Half = Struct.new(:words, :digits, :minute_hand_degrees, keyword_init: true)
        NOTATIONS = %i[words digits hands].freeze
        # Kinds of things to look at that can be shown on a dial first.
        SEEN = %i[dial digits words].freeze

        class << self
          # @param task [Task]
          # @return [Boolean] whether it can begin so
          def fits?(task)
            NOTATIONS.include?(task.notation) && SEEN.include?(task.sees) && task.asks == :time && task.tolerance_minutes.zero?
          end

          # @param turn [Turn] that comes next
          # @param learner [Learner]
          # @param random [Random]
          # @return [Turn] the same with the help that the child needs: a clock shown first on a new step, help on the clock, or none
          def supported(turn, learner, random)
            shown = example(turn.step, turn.task, turn.times.first, random) if learner.begins?(turn)
            return turn.after_example(shown) if shown

            learner.helped?(turn) ? turn.with_help : turn
          end

          # @param step [Step]
          # @param task [Task]
          # @param time [DialTime] that is asked
          # @param random [Random]
          # @return [DialTime, nil] another one of the step to be shown, as far as it goes with the same minutes
          # @example
          #   Beginning.example(step, task, Dial::DialTime.parse("7:45"), Random.new(1)) # such as 3:45
          def example(step, task, time, random)
            others = step.pool_for(task).reject { |shown| shown.hidden_hand? || shown == time }
            alike = others.select { |other| other.minute == time.minute }
            (alike.empty? ? others : alike).sample(random:)
          end

          # @param task [Task]
          # @param time [DialTime]
          # @param conventions [Conventions]
          # @return [Half]
          # @example
          #   Beginning.half(Task.find(:dial_to_digital), Dial::DialTime.parse("7:45")).digits # "7:"
          def half(task, time, conventions = Wording::Conventions.default)
            case task.notation
            when :words then Half.new(words: words(time, conventions))
            when :digits then Half.new(digits: time.digital(conventions.sign)[/\A\d+\D/])
            else Half.new(minute_hand_degrees: time.minute_hand_degrees)
            end.freeze
          end

          private

          # As strips have them: the side is the last word, all before it is counted.
          def words(time, conventions)
            *count, side = Wording::Counted.usual(time).words(conventions).split(/[ -]/)
            { count:, side: [side] }
          end
        end
      end
    end
  end
end
