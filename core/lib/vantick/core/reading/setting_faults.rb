# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # What goes wrong while the hands are set.
      module SettingFaults
        extend Faults

        SETTING = %i[digits_to_hands words_to_hands].freeze

        class << self
          # @return [Hash{Symbol => Hash}] by misreading, its faults by chain
          def rules = { **hour_hand, **minute_hand, **both_hands }

          private

          def setting(...) = fault(SETTING, ...)

          # Exactly on a numeral, where it does not belong there.
          def hour_hand
            behind = ->(time) { time.minute / 2.0 >= Tasks::Placing::OFF_NUMERAL }
            before = ->(time) { (60 - time.minute) / 2.0 >= Tasks::Placing::OFF_NUMERAL }
            { hour_hand_left_behind: setting(:hour_place, behind) { |draft| [draft.with(hour_degrees: draft.hour * 30)] },
              hour_hand_on_next: setting(:hour_place, before) { |draft| [draft.with(hour_degrees: (draft.hour + 1) * 30)] } }
          end

          def minute_hand
            a_numeral = ->(time) { Wording::SpokenTime.usual(time).count.between?(1, 12) }
            { numeral_for_minutes: setting(:minute_place, a_numeral) do |draft|
              [draft.with(minute_degrees: Wording::SpokenTime.usual(draft.time).count * 30)]
            end,
              minutes_mirrored: setting(:minute_place, Faults::ANY) { |draft| [draft.with(minute_degrees: 360 - draft.minute_degrees)] } }
          end

          def both_hands
            { hands_swapped: setting(:setting, Faults::ANY) do |draft|
              [draft.with(hour_degrees: draft.minute_degrees, minute_degrees: draft.hour_degrees)]
            end }
          end
        end
      end
    end
  end
end
