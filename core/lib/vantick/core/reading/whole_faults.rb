# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # What goes wrong before anything is counted: another time is seen than the dial shows, and read rightly.
      module WholeFaults
        extend Faults

        READING = %i[dial_to_digits dial_to_words].freeze
        SETTING = %i[digits_to_hands words_to_hands].freeze
        # Minutes that are no quarter.
        BETWEEN_QUARTERS = ->(time) { (time.minute % 15).positive? }
        MINUTES = ->(time) { time.minute.positive? }
        TICKS = ->(time) { time.ticks.positive? }

        class << self
          # @return [Hash{Symbol => Hash}] by misreading, its faults by chain
          def rules = { **rounded, **one_hand, **mirrored }

          private

          # @yieldparam time [DialTime] shown
          # @yieldreturn [Array<DialTime>] seen
          def seen(at) = fault(READING, :hands, at) { |draft| yield(draft.time).map { |time| draft.with(time:) } }

          def rounded
            { quarters_only: seen(BETWEEN_QUARTERS) { |time| [nearest(time, 15)] },
              nearest_five: { **seen(TICKS) { |time| [nearest(time, 5)] }, **long_hand_to_five },
              minutes_left_out: seen(MINUTES) { |time| time.side == :to ? [hour_of(time), hour_of(time, 1)] : [hour_of(time)] } }
          end

          def nearest(time, every) = Dial::DialTime.from_index((time.index + (every / 2)) / every * every)

          def hour_of(time, more = 0) = Dial::DialTime.from_index((time.hour + more) * 60)

          # With the long hand alone there is no hour to go over into.
          def long_hand_to_five
            fault(:minute_hand_to_count, :ticks, TICKS) do |draft|
              [draft.with(ticks: nearest(Dial::DialTime.from_index(draft.ticks), 5).minute)]
            end
          end

          # Counting begins where the short hand is, not at the twelve.
          def one_hand
            { counted_from_hour_hand: seen(MINUTES) { |time| [Dial::DialTime.at(time.hour, (time.minute - (5 * time.hour)) % 60)] } }
          end

          # Left and right changed over is seen where young children draw clocks (Cohen, Ricci, Kibby and Edmonds, "Developmental
          # progression of clock face drawing in children", Child Neuropsychology 6, 2000; from memory).
          def mirrored
            { dial_mirrored: { **seen(Faults::ANY) { |time| [Dial::DialTime.from_index(-time.index)] },
                               **fault(SETTING, :setting, Faults::ANY) do |draft|
                                 [draft.with(hour_degrees: 360 - draft.hour_degrees, minute_degrees: 360 - draft.minute_degrees)]
                               end } }
          end
        end
      end
    end
  end
end
