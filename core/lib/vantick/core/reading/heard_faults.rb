# frozen_string_literal: true

module Vantick
  module Core
    # What goes wrong between words heard and digits written or hands set.
    module HeardFaults
      extend Faults

      HEARD = %i[words_to_digits words_to_hands].freeze

      class << self
        # @return [Hash{Symbol => Hash}] by misreading, its faults by chain
        def rules = { **hour, **numbers, **writing }

        private

        def digits(...) = fault(:words_to_digits, ...)

        # The hour that was named, also after "to".
        def named(draft) = draft.side == :to ? draft.time.hour_ahead : draft.hour

        def hour
          { to_hour_kept: fault(HEARD, :turning, Faults::TO) { |draft| [draft.with(hour: named(draft))] },
            to_taken_as_past: fault(HEARD, :turning, Faults::TO) { |draft| [draft.with(hour: named(draft), minute: draft.fives)] },
            to_count_written: digits(:turning, Faults::TO) { |draft| [draft.with(minute: draft.fives)] } }
        end

        def numbers
          quarters = ->(time) { [15, 45].include?(time.minute) }
          teens = ->(time) { [13, 14].include?(time.minute) }
          { quarter_as_25: digits(:turning, quarters) { |draft| quarter(draft) },
            teen_for_ten: digits(:turning, teens) { |draft| [draft.with(minute: (draft.minute - 10) * 10)] } }
        end

        # Twenty-five is taken from the hour, or written as it is.
        def quarter(draft)
          minutes = draft.side == :to ? [60 - 25, 25] : [25]
          minutes.map { |minute| draft.with(minute:) }
        end

        def writing
          counted = ->(time) { time.side != :oclock }
          { zero_misplaced: digits(:copying, Faults::FEW_MINUTES) { |draft| [draft.with(minute: draft.minute * 10)] },
            spoken_order: digits(:copying, counted) { |draft| [draft.with(hour: draft.fives, minute: named(draft))] } }
        end
      end
    end
  end
end
