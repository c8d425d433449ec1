# frozen_string_literal: true

module Vantick
  module Core
    # How a set of times should be spread, and how far it is from that. What counts first is listed
    # first: no time to avoid, hours in turn, minutes in turn, no hidden hand, both sides, the twelve.
    class Balance
      # From this many times on, one is in the twelve hour.
      TWELVE_FROM = 5

      # @return [Array<DialTime>]
      attr_reader :pool

      # @param pool [Array<DialTime>]
      # @param count [Integer]
      # @param avoid [Array<DialTime>]
      def initialize(pool, count, avoid)
        @pool = pool
        @count = count
        @avoid = avoid
        @hours = pool.map(&:hour).uniq
        @minutes = pool.map(&:minute).uniq
        @least = least_by_side
        @twelve = count >= TWELVE_FROM && pool.any? { |time| twelve?(time) }
        freeze
      end

      # @param times [Array<DialTime>] as many as wanted
      # @return [Array<Integer>] how far off, by what counts first; all zero is perfect
      def faults(times)
        [times.count { |time| @avoid.include?(time) }, uneven(times.map(&:hour), @hours), uneven(times.map(&:minute), @minutes),
         times.count(&:hidden_hand?), short_sides(times).values.sum, @twelve && times.none? { |time| twelve?(time) } ? 1 : 0]
      end

      # @param chosen [Array<DialTime>] so far
      # @return [Array<DialTime>] those of the pool that may come next, by what counts first; where a
      #   wish leaves nothing it is passed over
      def next_from(chosen)
        wishes(chosen).reduce(@pool - chosen) do |left, wish|
          kept = left.select(&wish)
          kept.empty? ? left : kept
        end
      end

      private

      def wishes(chosen)
        [->(time) { !@avoid.include?(time) }, *in_turn(chosen), ->(time) { !time.hidden_hand? },
         side_needed(chosen), ->(time) { !@twelve || chosen.any? || twelve?(time) }]
      end

      def in_turn(chosen)
        hours = seldom(chosen.map(&:hour), @hours)
        minutes = seldom(chosen.map(&:minute), @minutes)
        [->(time) { hours.include?(time.hour) }, ->(time) { minutes.include?(time.minute) }]
      end

      # A side is asked for once all that are left to choose must be on it.
      def side_needed(chosen)
        short = short_sides(chosen)
        needed = short.values.sum >= @count - chosen.length
        ->(time) { !needed || short.fetch(time.side, 0).positive? }
      end

      def twelve?(time) = time.twelve_hour? && !time.hidden_hand?

      # Those used least so far.
      def seldom(used, all)
        tally = used.tally
        least = all.map { |value| tally.fetch(value, 0) }.min
        all.select { |value| tally.fetch(value, 0) == least }
      end

      def uneven(used, all)
        tally = used.tally
        fewest = @count / all.length
        most = (@count.to_f / all.length).ceil
        all.sum { |value| [tally.fetch(value, 0) - most, fewest - tally.fetch(value, 0), 0].max }
      end

      def short_sides(times)
        @least.to_h { |side, wanted| [side, [wanted - times.count { |time| time.side == side }, 0].max] }
      end

      # At least a third on each side, as far as minutes taken in turn allow it.
      def least_by_side
        by_side = @pool.group_by(&:side).slice(:past, :to)
        return {} if by_side.length < 2

        by_side.transform_values do |times|
          rounds, rest = @count.divmod(@minutes.length)
          minutes = times.map(&:minute).uniq.length
          [(@count / 3.0).ceil, (rounds * minutes) + [rest, minutes].min].min
        end
      end
    end
  end
end
