# frozen_string_literal: true

module Bench
  module Children
    # Children who have a way of reading the short hand, the long hand, the small marks, and of saying "to"; a lesson swaps a way for
    # the next better one. What they answer is worked out from their ways alone.
    class Ways
      Time = Vantick::Core::Dial::DialTime
      # From the worst to the right one.
      HOUR = %i[any long_hand nearest right].freeze
      LONG = %i[only_oclock halves numeral quarters right].freeze
      MARK = %i[leaves_out one_over right].freeze
      SIDE = %i[never passed_hour right].freeze
      DAY = %i[any right].freeze
      ALL = { hour: HOUR, long: LONG, mark: MARK, side: SIDE, day: DAY }.freeze
      TEACHES = { oclock: %i[hour long], hour_hand: %i[hour], half_past: %i[hour long], quarter_past: %i[long],
                  quarter_to: %i[side hour long],
                  fives_facts: %i[long], fives_past: %i[long], fives_to: %i[side long], minutes_past: %i[mark], minutes_to: %i[mark side],
                  day_halves: %i[day] }.freeze
      # Beginning (share of the way up), swapped in a lesson, lapses back in a day, noise.
      MAKES = { usual: [0.35, 0.45, 0.002, 0.06], slow: [0.15, 0.22, 0.003, 0.08], quick: [0.5, 0.75, 0.001, 0.04],
                mixed: [0.4, 0.45, 0.002, 0.06], forgetful: [0.35, 0.5, 0.02, 0.06], guessing: [0.3, 0.4, 0.002, 0.35],
                knows_fives: [0.95, 0.45, 0.001, 0.05], half_new: [0.95, 0.45, 0.002, 0.06] }.freeze

      def self.of(kind, seed, count)
        chance = Random.new(seed + 104_729)
        Array.new(count) do |at|
          make = kind == :half_new && at.even? ? MAKES[:usual] : MAKES.fetch(kind)
          new(make, kind, Random.new(chance.rand(2**31)))
        end
      end

      def initialize(make, kind, chance)
        begins, @swaps, @lapses, @noise = make
        @chance = chance
        begins *= chance.rand(0.2..1.8) if kind == :mixed
        @ways = ALL.transform_values { |all| (0...all.length).max_by { |at| at <= begins * all.length ? [1, chance.rand] : [0, 0] } }
        @ways[:mark] = 0 if kind == :knows_fives
        @firm = Hash.new(1.0)
        @day = 0
      end

      # Those of the catalogue that its ways come near to.
      def misreadings
        { hour: { long_hand: :hands_swapped, nearest: :next_hour_early }, long: { numeral: :numeral_as_minutes },
          mark: { one_over: :ticks_one_over }, side: { passed_hour: :to_with_passed_hour } }.filter_map { |name, told| told[way(name)] }
      end

      def knows?(kind, day)
        pass(day)
        times(kind).count { |time| [reads(time, :words), reads(time, :digits)].all?(time) } >= 0.8 * times(kind).length
      end

      def lesson(kinds, day)
        pass(day)
        names = kinds.flat_map { |kind| TEACHES.fetch(kind) }.uniq
        names.each do |name|
          @firm[name] *= 1.5
          @ways[name] += 1 if @ways[name] < ALL[name].length - 1 && @chance.rand < @swaps * (names.length**-0.4)
        end
      end

      def practice(kind, day)
        pass(day)
        name = TEACHES.fetch(kind).sample(random: @chance)
        @firm[name] *= 1.05
        @ways[name] += 1 if @ways[name] < ALL[name].length - 1 && @chance.rand < @swaps * 0.06
      end

      def answer(kind, time, task, day, _place = 0)
        pass(day)
        return task.right_answer(task.times.sample(random: @chance)) if @chance.rand < @noise
        return day_half(time, task) if kind == :day_halves

        found = reads(time, task.notation)
        task.right_answer(task.times.include?(found) ? found : task.times.sample(random: @chance))
      end

      private

      def way(name) = ALL[name][@ways[name]]

      # Old ways come back as days go by.
      def pass(day)
        @ways.each_key do |name|
          back = 1 - ((1 - @lapses)**([day - @day, 0].max / @firm[name]))
          @ways[name] -= 1 if @ways[name].positive? && @chance.rand < back
        end
        @day = [@day, day].max
      end

      def day_half(time, task)
        way(:day) == :right ? task.right_answer(time) : task.right_answer(task.times.sample(random: @chance))
      end

      def times(kind)
        (@times ||= {})[kind] ||= begin
          step = Vantick::Core::Curriculum::Step.find(kind)
          step.pool.select do |time|
            !step.whole? || Vantick::Core::Curriculum::Difficulty.minute_class(time) == kind
          end.each_slice(4).map(&:first)
        end
      end

      def reads(time, notation)
        minutes = long(time)
        hour = short(time)
        hour -= 1 if notation == :words && time.minute > 30 && way(:side) == :passed_hour
        minutes = (60 - minutes) % 60 if notation == :words && time.minute > 30 && way(:side) == :never
        Time.at(((hour - 1) % 12) + 1, minutes)
      end

      def short(time)
        case way(:hour)
        when :right then time.hour
        when :nearest then time.minute > 30 ? time.hour + 1 : time.hour
        when :long_hand then time.minute < 5 ? 12 : time.minute / 5
        else time.minute.zero? ? time.hour : time.hour + [0, 1, 1, -1].sample(random: @chance)
        end
      end

      def long(time)
        fives = time.minute - (time.minute % 5)
        case way(:long)
        when :only_oclock then time.minute == 30 ? 30 : 0
        when :halves then fives == 30 ? 30 : 0
        when :numeral then (fives % 30).zero? ? fives : fives / 5
        when :quarters then fives - (fives % 15)
        else (fives + marks(time.minute % 5)) % 60
        end
      end

      def marks(ticks)
        return ticks if ticks.zero? || way(:mark) == :right

        way(:mark) == :one_over ? ticks + 1 : 0
      end
    end
  end
end
