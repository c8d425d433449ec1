# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # One thing that a child is asked on a device, and why it was chosen.
      class Turn
        # Why a turn comes: its answer tells most, it helps against what is likely misread, it is known and comes for a change,
        # it is practised, or the teacher gave it.
        REASONS = %i[tells helps known practises given].freeze

        # @return [Step]
        attr_reader :step
        # @return [Task]
        attr_reader :task
        # @return [Array<DialTime, DayTime>] one, or as many as there are pairs to match
        attr_reader :times
        # @return [Symbol] one of {REASONS}
        attr_reader :reason
        # @return [Misreading, nil] what it helps against
        attr_reader :against
        # @return [SpokenTime, nil] what somebody said, where a mistake is to be spotted
        attr_reader :said
        # @return [Misreading, nil] what went wrong there
        attr_reader :mistake

        # @return [Boolean] whether its clock has help on it, see {Choosing::Support}
        attr_reader :helped

        # @return [DialTime, nil] what is shown first, where the step is new to the child
        attr_reader :example

        # @return [Symbol, nil] in which other way it is asked, one of {Variants::ALL}
        attr_reader :variant

        # @param step [Curriculum::Step]
        # @param task [Tasks::Task]
        # @param times [Array<DialTime, DayTime>]
        # @param reason [Symbol] one of {REASONS}
        # @param against [Misreading, nil] what it helps against
        # @param said [SpokenTime, nil] what somebody said, where a mistake is to be spotted
        # @param mistake [Misreading, nil] what went wrong there
        # @param helped [Boolean] whether its clock has help on it
        # @param example [DialTime, nil] what is shown first
        # @param variant [Symbol, nil] one of {Variants::ALL}
        def initialize(step:, task:, times:, reason:, against: nil, said: nil, mistake: nil, helped: false, example: nil, variant: nil)
          raise ArgumentError, "no reason: #{reason}" unless REASONS.include?(reason)

          @step = step
          @task = task
          @times = times.dup.freeze
          @reason = reason
          @against = against
          @said = said
          @mistake = mistake
          @helped = helped
          @example = example
          @variant = variant
          freeze
        end

        # @return [Turn] the same with help on its clock
        def with_help = with(helped: true)

        # @param example [DialTime]
        # @return [Turn] the same after a clock that is shown, half done and with help: see {Beginning}
        def after_example(example) = with(helped: true, example:)

        # @param variant [Symbol] one of {Variants::ALL}
        # @return [Turn] the same, asked in that way; to have some to choose from is help
        def as(variant) = with(variant:, helped: Variants::EASIER.value?(variant))

        # @return [Boolean] whether only its last part is left to do
        def half? = !example.nil?

        private

        def with(**more) = Turn.new(step:, task:, times:, reason:, against:, said:, mistake:, **more)
      end
    end
  end
end
