# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Times to practise with: unlike a check, which takes what tells most, practice goes over all times of a step. They are dealt
      # to one child after the other from parts of the same hardness, those first that were dealt least, so that all sheets are
      # about as hard, neighbours have other times while there are others, and a class meets every time about as often.
      class Practice
        # A part has at least so many times, so that there is something to choose from (judgement).
        LEAST_IN_A_PART = 4

        # @param pool [Array<DialTime, DayTime>] what is practised
        # @param count [Integer] times a child gets, 1 and no more than the pool has
        # @param seed [Integer]
        # @param name [String] what the pool is called, for those who ask too much of it
        # @raise [InvalidCount]
        def initialize(pool, count:, name:, seed: 0)
          check(count, pool.length, name)
          @random = Random.new(seed)
          @count = count
          @pool = pool.shuffle(random: @random).each_with_index.to_h.freeze
          @parts = parts(pool.sort_by { |time| [Curriculum::Difficulty.of(time), time] })
          @named = pool.select { |time| time.is_a?(Dial::DayTime) && Wording::DayFacts::NAMED.include?(time.half) }
          @dealt = Hash.new(0)
          @before = []
        end

        # @param avoid [Array<DialTime, DayTime>] what this child had lately
        # @return [Array<DialTime, DayTime>] the next child's
        def deal(avoid: [])
          chosen = @count > @named.length ? @named.dup : []
          @parts.each { |part, share| (share - (chosen & part).length).times { chosen << draw(part, chosen, avoid) } }
          chosen.pop while chosen.length > @count
          chosen.each { |time| @dealt[time] += 1 }
          @before = chosen
        end

        private

        def check(count, most, name)
          return if count.is_a?(Integer) && (1..most).cover?(count)

          nearest = count.is_a?(Integer) ? count.clamp(1, most) : most
          raise InvalidCount.new("Choose 1 to #{most} clocks for #{name.downcase}, not #{count.inspect}.", nearest:)
        end

        # Parts of the pool, easiest first, and how many times of each a child gets.
        def parts(ordered)
          many = (ordered.length / LEAST_IN_A_PART).clamp(1, @count)
          Array.new(many) do |at|
            [share(ordered.length, at, many).then { |from, to| ordered[from...to] }, share(@count, at, many).then { |from, to| to - from }]
          end
        end

        def share(all, at, many) = [all * at / many, all * (at + 1) / many]

        def draw(part, chosen, avoid)
          left = part - chosen
          left = @pool.keys - chosen if left.empty?
          hours, minutes = [chosen.map(&:hour), chosen.map(&:minute)].map(&:tally)
          left.min_by do |time|
            [avoid.include?(time) ? 1 : 0, @before.include?(time) ? 1 : 0, hours.fetch(time.hour, 0), @dealt[time],
             minutes.fetch(time.minute, 0), @pool[time]]
          end
        end
      end
    end
  end
end
