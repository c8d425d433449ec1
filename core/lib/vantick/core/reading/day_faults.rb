# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # What goes wrong while a time is put into a half of the day (common practice, no source).
      module DayFaults
        extend Faults

        OTHER = { midnight: :noon, am: :pm, noon: :midnight, pm: :am }.freeze
        # Hours after midnight in which it is dark (judgement: in the latitudes of most schools).
        DARK = (1...(6 * 60))

        class << self
          # @return [Hash{Symbol => Hash}] by misreading, its faults by chain
          def rules
            { day_halves_swapped: half(Faults::ANY) { |draft| [draft.with(half: OTHER.fetch(draft.half))] },
              twelve_with_eleven: half(:twelve_hour?.to_proc) { |draft| [draft.with(half: draft.time.hour.zero? ? :pm : :am)] },
              dark_is_pm: half(->(time) { DARK.cover?(time.index) }) { |draft| [draft.with(half: :pm)] } }
          end

          private

          def half(...) = fault(:time_to_day_half, :half_of_day, ...)
        end
      end
    end
  end
end
