# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # What goes wrong while digits are read, to be said or to be set: "9:05" is taken for 9:50.
      module DigitalFaults
        extend Faults

        class << self
          # @return [Hash{Symbol => Hash}] by misreading, its faults by chain
          def rules
            { zero_misplaced: { **fault(:digits_to_words, :side, Faults::FEW_MINUTES) { |draft| [usual(draft), past(draft)] },
                                **fault(:digits_to_hands, :all_past, Faults::FEW_MINUTES) { |draft| [past(draft)] } } }
          end

          private

          # The minutes taken for ten times as many, as it is usually said.
          def usual(draft)
            spoken = Wording::SpokenTime.usual(Dial::DialTime.at(draft.time.hour, draft.time.minute * 10))
            draft.with(minute: spoken.count, side: spoken.side, hour: spoken.hour)
          end

          def past(draft) = draft.with(minute: draft.time.minute * 10)
        end
      end
    end
  end
end
