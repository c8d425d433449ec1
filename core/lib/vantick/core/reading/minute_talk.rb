# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # The minutes of a talk-through, counted in a class's own method.
      class MinuteTalk
        WORDS = Facts::DataFile.load("words")[:talk]
        # Places a class may know without counting, by minute.
        KNOWN = { 0 => :oclock, 15 => :quarter_past, 30 => :half, 45 => :quarter_to }.freeze
        LANDMARKS = [0, 15, 30, 45].freeze
        # Counted from the twelve up to here; further on from here, since nobody says eleven numbers in one breath.
        ONE_BREATH = 30

        # @param time [DialTime]
        # @param conventions [Conventions]
        # @return [Array<TalkStep>]
        def self.steps(time, conventions) = new(time, conventions).steps

        # @param time [DialTime]
        # @param conventions [Conventions]
        # @return [Array<TalkStep>] all minutes counted on from the 12, as digits have them
        def self.past(time, conventions) = new(time, conventions).past

        # @param time [DialTime]
        # @param conventions [Wording::Conventions]
        def initialize(time, conventions)
          @time = time
          @minute = time.minute
          @conventions = conventions
        end

        def steps
          return [known] if known?
          return counted_past if @time.side != :to
          return [*counted_past, sixty_minus] if @conventions.counting_to == :sixty_minus

          @conventions.counting == :landmarks ? [*counted_past, *counted_back(by: :fives)] : counted_back(by: @conventions.counting)
        end

        def past = @minute.zero? ? [known] : counted_past

        private

        # Those who say plain numbers count fifteen and forty-five like all others.
        def known? = KNOWN.key?(@minute) && (@conventions.fifteens == :quarter || @minute.zero?)

        def known
          light = { kind: :numeral, numeral: @time.minute_numeral }
          step(:"minutes_#{KNOWN.fetch(@minute)}", hand, light, past: @conventions.word(:past))
        end

        def hand = { kind: :hand, hand: :minute }

        def fives = @minute - @time.ticks

        def counted_past
          case @conventions.counting
          when :five_times then [*times_five, *ones(fives, fives.zero? ? :ticks_alone : :ticks)]
          when :landmarks then from_landmark
          else [*by_fives, *ones(fives, fives.zero? ? :ticks_alone : :ticks)]
          end
        end

        def by_fives
          return [] if fives.zero?

          return [step(:fives, sweep(0, fives), hand, fives: list(5, fives, 5))] if fives <= ONE_BREATH

          [step(:half, { kind: :numeral, numeral: 6 }), step(:half_on, sweep(ONE_BREATH, fives), hand, fives: list(35, fives, 5))]
        end

        def times_five
          return [] if fives.zero?

          words = @time.ticks.zero? ? :five_times_on : :five_times
          [step(words, { kind: :numeral, numeral: @time.minute_numeral }, hand, numeral: fives / 5, sum: fives)]
        end

        # From the landmark that needs the fewest counts: the last one passed.
        def from_landmark
          landmark = LANDMARKS.select { |place| place <= @minute }.max
          return [*by_fives, *ones(fives, fives.zero? ? :ticks_alone : :ticks)] if landmark.zero?

          on = landmark == fives ? [] : [step(:landmark_on, sweep(landmark, fives), fives: list(landmark + 5, fives, 5))]
          [step(:landmark, { kind: :numeral, numeral: landmark / 5 }, hand, numeral: landmark / 5, landmark:), *on, *ones(fives, :ticks_on)]
        end

        def ones(from, words)
          return [] if @time.ticks.zero?

          [step(words, ticks(from), ones: list(from + 1, @minute, 1))]
        end

        def counted_back(by:)
          count = @time.minutes_to
          whole = count - (count % 5)
          [*back_by_fives(whole, count, by), *back_by_ones(whole, count)]
        end

        def back_by_fives(whole, count, by)
          return [] if whole.zero?

          if by == :five_times
            numeral = 12 - (whole / 5)
            return [step(:back_five_times, sweep(60, 60 - whole), hand, numeral:, times: whole / 5, sum: whole)]
          end
          [step(whole == count ? :back_fives : :back_fives_then, sweep(60, 60 - whole), hand, fives: list(5, whole, 5))]
        end

        def back_by_ones(whole, count)
          return [] if whole == count

          [step(whole.zero? ? :back_ticks_alone : :back_ticks, ticks(60 - whole), ones: list(whole + 1, count, 1))]
        end

        def sixty_minus = step(:sixty_minus, { kind: :side, side: :to }, minute: @minute, count: @time.minutes_to)

        def sweep(from, to) = { kind: :sweep, from:, to:, counts: counts(from, to, 5) }

        def ticks(from) = { kind: :ticks, from:, to: @minute, counts: counts(from, @minute, 1) }

        # Each place reached, and the number said there: what has passed since the twelve or, counted back, what
        # is left to it.
        def counts(from, to, by)
          return (from + by).step(to, by).map { |place| [place, place] } if to > from

          (from - by).step(to, -by).map { |place| [place, 60 - place] }
        end

        def list(from, to, by) = from.step(to, by).to_a.join(", ")

        def step(words, *lights, **parts) = TalkStep.new(:minutes, format(WORDS.fetch(words), **parts), *lights, way: words)
      end
    end
  end
end
