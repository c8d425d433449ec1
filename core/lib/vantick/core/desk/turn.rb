# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # One thing that a child is asked on a device, and why it was chosen.
      #
      # @!attribute step [Curriculum::Step]
      # @!attribute task [Tasks::Task]
      # @!attribute times [Array<DialTime, DayTime>] one, or as many as there are pairs to match
      # @!attribute reason [Symbol] one of {REASONS}
      # @!attribute against [Misreading, nil] what it helps against
      # @!attribute said [SpokenTime, nil] what somebody said, where a mistake is to be spotted
      # @!attribute mistake [Misreading, nil] what went wrong there
      # @!attribute helped [Boolean] whether its clock has help on it, see {Choosing::Support}
      # @!attribute example [DialTime, nil] what is shown first, where the step is new to the child
      # @!attribute variant [Symbol, nil] in which other way it is asked, one of {Variants::ALL}
      Turn = Struct.new(:step, :task, :times, :reason, :against, :said, :mistake, :helped, :example, :variant, keyword_init: true)

      # See above.
      class Turn
        # Why a turn comes: its answer tells most, it helps against what is likely misread, it is known and comes for a change,
        # it is practised, or the teacher gave it.
        REASONS = %i[tells helps known practises given].freeze

        # @param step [Curriculum::Step]
        # @param task [Tasks::Task]
        # @param times [Array<DialTime, DayTime>]
        # @param reason [Symbol] one of {REASONS}
        # @param more [Hash{Symbol => Object}] other parts by name
        # @raise [ArgumentError] where there is no such reason or part
        def initialize(step:, task:, times:, reason:, **more)
          raise ArgumentError, "no reason: #{reason}" unless REASONS.include?(reason)

          super(step:, task:, times: times.dup.freeze, reason:, helped: false, **more)
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

        def with(**changes) = Turn.new(**to_h, **changes)
      end
    end
  end
end
