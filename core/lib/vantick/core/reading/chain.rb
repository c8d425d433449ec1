# frozen_string_literal: true

module Vantick
  module Core
    # Reading a dial as a chain of small steps. Done rightly it gives the right answer; with a
    # misreading, one step is done wrongly and all others rightly.
    class Chain
      # @return [Array<Symbol>] the steps, in order
      attr_reader :steps

      # @param notation [Symbol] `:digits` or `:words`
      # @return [Chain]
      def self.for(notation) = { digits: DIGITS, words: WORDS }.fetch(notation)

      def initialize(steps, &finish)
        @steps = steps.freeze
        @finish = finish
        freeze
      end

      # @param time [DialTime] what the dial shows
      # @param at [Symbol, nil] the step done wrongly
      # @yieldparam draft [Draft] what the step gives when done rightly
      # @yieldreturn [Array<Draft>] what it gives when done wrongly, one or more
      # @return [Array<DialTime, Saying>] the answers it ends in, none twice
      def answers(time, at: nil, &block)
        steps.reduce([Draft.new(time:)]) do |drafts, step|
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

        draft.with(side: :to, minute: draft.time.minutes_to, hour: DialTime.numeral(draft.hour + 1))
      end

      def fives(draft) = draft.with(fives: draft.minute - (draft.minute % 5), direction: 1)

      def ticks(draft) = draft.with(ticks: draft.direction * (draft.minute % 5))

      def writing(draft) = draft.with(minute: draft.count)

      DIGITS = new(%i[hands hour all_past fives ticks writing]) do |draft|
        DialTime.at(draft.hour, draft.minute) if (0..59).cover?(draft.minute)
      end
      WORDS = new(%i[hands hour side fives ticks writing]) do |draft|
        Saying.new(draft.minute, draft.side, draft.hour) if (0..59).cover?(draft.minute)
      end
      private_constant :DIGITS, :WORDS
    end
  end
end
