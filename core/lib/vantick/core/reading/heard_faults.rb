# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # What goes wrong between words heard and digits written or hands set.
      module HeardFaults
        extend Faults

        HEARD = %i[words_to_digits words_to_hands].freeze

        class << self
          # @return [Hash{Symbol => Hash}] by misreading, its faults by chain
          def rules = { **hour, **numbers, **halves, **sixty, **writing }

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
            teens = ->(time) { [13, 14].include?(time.minute) }
            four = ->(draft) { [draft.with(minute: 4), *(draft.with(minute: 60 - 4) if draft.side == :to)] }
            { quarter_as_25: digits(:turning, Faults::A_QUARTER) { |draft| quarter(draft) },
              quarter_as_four: digits(:turning, Faults::A_QUARTER, &four),
              teen_for_ten: digits(:turning, teens) { |draft| [draft.with(minute: (draft.minute - 10) * 10)] } }
          end

          # Half of a hundred; and "half eight" of other homes, which is half an hour before eight.
          def halves
            { half_as_fifty: digits(:turning, Faults::HALF) { |draft| [draft.with(minute: 50)] },
              half_before: { **fault(HEARD, :turning, Faults::HALF) { |draft| [draft.with(hour: Dial::DialTime.numeral(draft.hour - 1))] },
                             **fault(:digits_to_words, :side, Faults::HALF) { |draft| [draft.with(hour: draft.time.hour_ahead)] } } }
          end

          # From nought nothing is borrowed: the ones are written as they are. One of the commonest faults of subtraction
          # (Brown and Burton 1978, "0 - N = N"; from memory).
          def sixty
            ones = ->(count) { count.between?(10, 59) && (count % 10).positive? }
            to = ->(time) { Faults::TO[time] && ones[time.minutes_to] }
            left = ->(time) { Faults::TO[time] && ones[time.minute] }
            { sixty_without_borrowing: { **digits(:turning, to) { |draft| [draft.with(minute: unborrowed(draft.fives))] },
                                         **fault(:digits_to_words, :side, left) do |draft|
                                           [draft.with(minute: unborrowed(draft.time.minute))]
                                         end } }
          end

          def unborrowed(count) = ((6 - (count / 10)) * 10) + (count % 10)

          # Twenty-five is taken from the hour, or written as it is.
          def quarter(draft)
            minutes = draft.side == :to ? [60 - 25, 25] : [25]
            minutes.map { |minute| draft.with(minute:) }
          end

          def writing
            counted = ->(time) { time.side != :oclock }
            { zero_misplaced: digits(:copying, Faults::FEW_MINUTES) { |draft| [draft.with(minute: draft.minute * 10)] },
              digits_swapped: digits(:copying, Faults::TWO_DIGITS) { |draft| [draft.with(minute: Faults.turned_round(draft.minute))] },
              spoken_order: digits(:copying, counted) { |draft| [draft.with(hour: draft.fives, minute: named(draft))] } }
          end
        end
      end
    end
  end
end
