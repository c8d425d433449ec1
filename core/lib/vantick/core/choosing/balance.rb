# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
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
        # @param twelve [Boolean] whether one of the times is in the twelve hour
        def initialize(pool, count, avoid, twelve: true)
          @pool = pool
          @count = count
          @avoid = avoid
          @hours = pool.map(&:hour).uniq
          @minutes = pool.map(&:minute).uniq
          @least = least_by_side
          @twelve = twelve && count >= TWELVE_FROM && pool.any? { |time| twelve?(time) }
          @welcome = pool.reject { |time| time.hidden_hand? || avoid.include?(time) }.group_by(&:hour).freeze
          freeze
        end

        # @param times [Array<DialTime>] as many as wanted
        # @return [Array<Integer>] how far off, by what counts first; all zero is perfect
        def faults(times)
          [times.count { |time| @avoid.include?(time) }, uneven(times.map(&:hour), @hours), uneven(times.map(&:minute), @minutes),
           times.count(&:hidden_hand?), short_sides(times).values.sum, @twelve && times.none? { |time| twelve?(time) } ? 1 : 0]
        end

        # @return [Boolean] whether all hours or all minutes must be used, so that no time can change its own alone
        def tight? = @count >= [@hours.length, @minutes.length].min

        # @param chosen [Array<DialTime>] so far
        # @return [Array<DialTime>] those of the pool that may come next, by what counts first; where a
        #   wish leaves nothing it is passed over
        def next_from(chosen)
          hours = seldom(chosen.map(&:hour), @hours)
          minutes = seldom(chosen.map(&:minute), @minutes)
          wishes = [side_needed(chosen), twelve_needed(chosen)].compact
          granted = all_granted(chosen, hours, minutes, wishes)
          granted.any? ? granted : nearly_granted(chosen, hours, minutes, wishes)
        end

        private

        def nearly_granted(chosen, hours, minutes, wishes)
          [->(time) { !@avoid.include?(time) }, ->(time) { hours[time.hour] }, ->(time) { minutes[time.minute] },
           ->(time) { !time.hidden_hand? }, *wishes].reduce(@pool - chosen) do |left, wish|
            kept = left.select(&wish)
            kept.empty? ? left : kept
          end
        end

        # Nearly always there are times that grant every wish, so these are looked for first.
        def all_granted(chosen, hours, minutes, wishes)
          in_turn = @welcome.select { |hour, _| hours[hour] }.values.flatten(1).select { |time| minutes[time.minute] }
          in_turn -= chosen if chosen.any? { |time| hours[time.hour] && minutes[time.minute] }
          wishes.reduce(in_turn) { |left, wish| left.select(&wish) }
        end

        # A side is asked for once all that are left to choose must be on it.
        def side_needed(chosen)
          short = short_sides(chosen)
          ->(time) { short.fetch(time.side, 0).positive? } if short.values.sum >= @count - chosen.length
        end

        # The first to be chosen, where nothing has the twelve hour yet.
        def twelve_needed(chosen)
          ->(time) { twelve?(time) } if @twelve && (chosen.empty? || (chosen.length == @count - 1 && chosen.none? { |time| twelve?(time) }))
        end

        def twelve?(time) = time.twelve_hour? && !time.hidden_hand?

        # Those used least so far, as a table.
        def seldom(used, all)
          tally = used.tally
          least = all.map { |value| tally.fetch(value, 0) }.min
          all.to_h { |value| [value, tally.fetch(value, 0) == least] }
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
end
