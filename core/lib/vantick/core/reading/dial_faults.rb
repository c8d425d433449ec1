# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # What goes wrong while a dial is read, and while a reading is said.
      # Where a rule changes the count said in words, the count stays within 0 to 30.
      module DialFaults
        extend Faults

        FIVES_ALONE = ->(time) { time.ticks.zero? }
        TICKS = ->(time) { time.ticks.positive? }
        TICKS_PAST_A_NUMERAL = ->(time) { time.ticks.positive? && time.minute >= 5 }
        TICKS_PAST_A_COUNT = ->(time) { time.ticks.positive? && Wording::SpokenTime.usual(time).count >= 5 }
        # Nobody counts fives where the long hand is on the twelve.
        COUNTED_ON = ->(time) { time.minute.positive? }
        SAID = (0..30)
        # In words, and in minutes said with past or to alone.
        COUNTED = %i[dial_to_words minute_hand_to_count].freeze

        class << self
          # @return [Hash{Symbol => Hash}] by misreading, its faults by chain
          def rules = { **hands, **hour, **fives, **marks, **ticks, **writing, **side }

          private

          def digits(...) = fault(:dial_to_digits, ...)

          def words(...) = fault(:dial_to_words, ...)

          def counted(...) = fault(COUNTED, ...)

          # In words, wherever they come from.
          def saying(...) = fault(%i[dial_to_words digits_to_words], ...)

          # Also where no hour is said.
          def said(...) = fault([*COUNTED, :digits_to_words], ...)

          # The same change to a part of the count, in digits and in words. In digits minutes beyond
          # 0..59 do not occur; the chain leaves those out.
          def both(step, digits_at, words_at)
            { **digits(step, digits_at) { |draft| [draft.with(**yield(draft))] },
              **counted(step, words_at) do |draft|
                changed = draft.with(**yield(draft))
                SAID.cover?(changed.count) ? [changed] : []
              end }
          end

          def hands
            swap = lambda do |draft|
              time = draft.time
              minutes = [5 * time.hour, ((5 * time.hour) + (time.minute / 12))].uniq
              minutes.map { |minute| draft.with(time: Dial::DialTime.at(time.minute_numeral, minute)) }
            end
            { hands_swapped: { **digits(:hands, Faults::ANY, &swap), **words(:hands, Faults::ANY, &swap) } }
          end

          def hour
            ahead = ->(draft) { [draft.with(hour: draft.time.hour_ahead)] }
            { next_hour_early: { **fault(%i[dial_to_digits hour_hand_to_hour], :hour, ->(time) { time.minute >= 30 }, &ahead),
                                 **words(:hour, ->(time) { time.minute == 30 }, &ahead) } }
          end

          def fives
            { numeral_as_minutes: { **digits(:fives, FIVES_ALONE) { |draft| [draft.with(fives: draft.time.minute_numeral)] },
                                    **counted(:fives, FIVES_ALONE) { |draft| numeral_said(draft) } },
              fives_from_one: both(:fives, COUNTED_ON, COUNTED_ON) { |draft| { fives: draft.fives + 5 } },
              fives_one_short: both(:fives, COUNTED_ON, COUNTED_ON) { |draft| { fives: draft.fives - 5 } },
              counts_wrong_way: { **digits(:fives, ->(time) { time.minute != 30 && time.minute != 0 }) { |draft| [anticlockwise(draft)] },
                                  **counted(:fives, ->(time) { time.minute.between?(1, 29) }) { |draft| [anticlockwise(draft)] } } }
          end

          # The numeral and the marks after it, side by side or added; and before the hour, marks added that are to be taken off.
          def marks
            { numeral_with_marks: numeral_read { |numeral| 10 * numeral },
              numeral_and_marks_added: numeral_read { |numeral| numeral },
              marks_added_to: counted(:ticks, ->(time) { TICKS[time] && time.side == :to }) { |draft| added_to(draft) } }
          end

          def numeral_read
            read = ->(draft) { [draft.with(fives: yield(draft.time.minute_numeral))] }
            { **digits(:fives, TICKS_PAST_A_NUMERAL, &read),
              **counted(:fives, ->(time) { TICKS_PAST_A_NUMERAL[time] && time.side == :past }, &read) }
          end

          # From the numeral passed it is so many fives to the hour.
          def added_to(draft)
            changed = draft.with(fives: 60 - (5 * (draft.time.minute / 5)), ticks: draft.time.ticks)
            SAID.cover?(changed.count) ? [changed] : []
          end

          # At the top the numeral is 12. In the left half the child may count numerals to go, or say the
          # numeral with to, or with past.
          def numeral_said(draft)
            numeral = draft.time.minute_numeral
            return [draft.with(fives: numeral)] unless draft.side == :to

            [draft.with(fives: 12 - numeral), draft.with(fives: numeral),
             draft.with(fives: numeral, side: :past, hour: draft.time.hour_passed)]
          end

          def anticlockwise(draft) = draft.with(fives: 60 - draft.fives, direction: -1)

          def ticks
            { stops_at_five: both(:ticks, TICKS, TICKS) { { ticks: 0 } },
              marks_as_fives: both(:ticks, TICKS, TICKS) { |draft| { ticks: draft.ticks * 5 } },
              ticks_one_over: both(:ticks, TICKS, TICKS) { |draft| { ticks: draft.ticks + 1 } },
              ticks_one_short: both(:ticks, TICKS, TICKS) { |draft| { ticks: draft.ticks - 1 } },
              ticks_wrong_way: both(:ticks, TICKS_PAST_A_NUMERAL, TICKS_PAST_A_COUNT) { |draft| { ticks: -draft.ticks } } }
          end

          def writing
            { zero_misplaced: digits(:writing, Faults::FEW_MINUTES) { |draft| [draft.with(minute: draft.minute * 10)] },
              digits_swapped: digits(:writing, Faults::TWO_DIGITS) { |draft| [draft.with(minute: Faults.turned_round(draft.minute))] },
              quarter_as_25: digits(:writing, Faults::A_QUARTER) { |draft| [draft.with(minute: draft.minute == 15 ? 25 : 60 - 25)] },
              quarter_as_four: digits(:writing, Faults::A_QUARTER) { |draft| [draft.with(minute: draft.minute == 15 ? 4 : 60 - 4)] } }
          end

          def side
            { to_with_passed_hour: saying(:side, Faults::TO) { |draft| [draft.with(hour: draft.time.hour_passed)] },
              past_count_with_to: said(:side, Faults::TO) { |draft| [draft.with(minute: draft.time.minutes_past)] },
              sides_swapped: said(:side, ->(time) { ![0, 30].include?(time.minute) }) do |draft|
                other = draft.side == :to ? :past : :to
                [draft.time.hour_ahead, draft.time.hour_passed].map { |numeral| draft.with(side: other, hour: numeral) }
              end }
          end
        end
      end
    end
  end
end
