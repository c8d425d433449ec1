# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # Reading a dial as a chain of small steps. Done rightly it gives the right answer; with a
      # misreading, one step is done wrongly and all others rightly.
      class Chain
        # @return [Array<Symbol>] the steps, in order
        attr_reader :steps

        # @param name [Symbol] such as `:dial_to_words`
        # @return [Chain]
        def self.for(name) = ALL.fetch(name)

        # @param steps [Array<Symbol>] of reading, in order
        # @yieldparam draft [PartialReading] what the answer is made of
        def initialize(steps, &finish)
          @steps = steps.freeze
          @finish = finish
          freeze
        end

        # @param time [DialTime] what the dial shows
        # @param at [Symbol, nil] the step done wrongly
        # @yieldparam draft [PartialReading] what the step gives when done rightly
        # @yieldreturn [Array<PartialReading>] what it gives when done wrongly, one or more
        # @return [Array<DialTime, SpokenTime, Hands, Counted, Integer, Symbol>] the answers it ends in, none twice
        def answers(time, at: nil, &block)
          steps.reduce([PartialReading.new(time:)]) do |drafts, step|
            done = drafts.map { |draft| send(step, draft) }
            step == at ? done.flat_map(&block) : done
          end.filter_map(&@finish).uniq
        end

        private

        def hands(draft) = draft

        def hour(draft) = draft.with(hour: draft.time.hour_passed)

        # Digits count all minutes past the hour; words choose the nearer hour first.
        def all_past(draft) = draft.with(side: :past, minute: draft.time.minute)

        def side(draft)
          return all_past(draft) unless draft.time.side == :to

          draft.with(side: :to, minute: draft.time.minutes_to, hour: draft.time.hour_ahead)
        end

        def fives(draft) = draft.with(fives: draft.minute - (draft.minute % 5), direction: 1)

        def ticks(draft) = draft.with(ticks: draft.direction * (draft.minute % 5))

        # How far the long hand goes, from the numeral in the place of the hour to its own.
        def way(draft) = draft.with(minute: draft.time.minutes_between_numerals)

        def writing(draft) = draft.with(minute: draft.count)

        # What was heard: a count, a side and the hour named with it.
        def hearing(draft)
          spoken = Wording::SpokenTime.usual(draft.time)
          draft.with(fives: spoken.count, side: spoken.side, hour: spoken.hour)
        end

        # "Quarter to eight" is a quarter of an hour taken from eight.
        def turning(draft)
          return draft.with(minute: draft.fives) unless draft.side == :to

          draft.with(minute: 60 - draft.fives, hour: Dial::DialTime.numeral(draft.hour - 1))
        end

        def copying(draft) = draft

        # The hour hand goes on by half a degree each minute, so its place needs the minutes too.
        def hour_place(draft) = draft.with(hour_degrees: (draft.hour * 30) + (draft.minute / 2.0))

        def minute_place(draft) = draft.with(minute_degrees: draft.minute * 6.0)

        def setting(draft) = draft

        def half_of_day(draft) = draft.with(half: draft.time.half)

        in_digits = lambda do |draft|
          Dial::DialTime.at(draft.hour, draft.minute) if (0..59).cover?(draft.minute) && (0..23).cover?(draft.hour)
        end
        in_words = ->(draft) { Wording::SpokenTime.new(draft.minute, draft.side, draft.hour) if (0..59).cover?(draft.minute) }
        in_hands = ->(draft) { Dial::Hands.new(draft.hour_degrees, draft.minute_degrees) }
        in_counts = ->(draft) { Wording::Counted.new(draft.minute, draft.side) if (0..59).cover?(draft.minute) }
        in_minutes = ->(draft) { draft.minute if (0..60).cover?(draft.minute) }
        from_dial = %i[hands hour]
        placing = %i[hour_place minute_place setting]
        ALL = {
          dial_to_digits: new([*from_dial, :all_past, :fives, :ticks, :writing], &in_digits),
          dial_to_words: new([*from_dial, :side, :fives, :ticks, :writing], &in_words),
          digits_to_words: new(%i[hour side copying], &in_words),
          words_to_digits: new(%i[hearing turning copying], &in_digits),
          digits_to_hands: new([:hour, :all_past, *placing], &in_hands),
          words_to_hands: new([:hearing, :turning, *placing], &in_hands),
          hour_hand_to_hour: new(%i[hour], &:hour),
          minute_hand_to_count: new(%i[side fives ticks writing], &in_counts),
          numerals_to_length: new(%i[way fives writing], &in_minutes),
          time_to_day_half: new(%i[half_of_day], &:half)
        }.freeze
        private_constant :ALL
      end
    end
  end
end
