# frozen_string_literal: true

module Bench
  module Children
    # Children who have a part of reading a clock or have it not: each part rests on others, comes in a lesson and goes at an hour of
    # its own. Saying, writing and setting are learned one by one.
    class Parts
      KINDS = { usual: { begins: 0.25, learns: 0.4, keeps: 60 }, slow: { begins: 0.08, learns: 0.2, keeps: 40 },
                quick: { begins: 0.4, learns: 0.7, keeps: 90 }, mixed: { begins: 0.3, learns: 0.15..0.75, keeps: 50 },
                forgetful: { begins: 0.25, learns: 0.45, keeps: 14 }, guessing: { begins: 0.2, learns: 0.35, keeps: 50, wild: 0.3 },
                knows_fives: { begins: 0.25, learns: 0.4, keeps: 90, up_to: 8 },
                half_new: { begins: 0.25, learns: 0.4, keeps: 60, up_to: 8, new: 0.5 } }.freeze
      # What each kind of times rests on; the first ones are no kinds of times themselves.
      RESTS = { short_hand: [], oclock: [], half_past: %i[short_hand oclock], quarter_past: %i[half_past], quarter_to: %i[quarter_past],
                numerals: [], fives_past: %i[numerals quarter_past], fives_to: %i[fives_past quarter_to], marks: %i[numerals],
                minutes_past: %i[fives_past marks], minutes_to: %i[minutes_past fives_to], day_halves: %i[oclock] }.freeze
      ORDER = RESTS.keys.freeze
      TAUGHT = { hour_hand: %i[short_hand], fives_facts: %i[numerals], minutes_past: %i[marks minutes_past] }.freeze
      ALONE = { hour_hand: :short_hand, fives_facts: :numerals }.freeze
      WAYS = { words: :say, digits: :write, hands: :set }.freeze
      MISREADINGS = %i[hands_swapped next_hour_early numeral_as_minutes fives_from_one to_with_passed_hour sides_swapped
                       counts_wrong_way zero_misplaced].freeze

      attr_reader :misreadings

      def self.of(kind, seed, count)
        random = Random.new(seed)
        Array.new(count) { |at| new(KINDS.fetch(kind), Random.new(random.rand(2**31)), fresh: at.odd?) }
      end

      def initialize(make, random, fresh:)
        @random = random
        @learns = make[:learns].is_a?(Range) ? random.rand(make[:learns]) : make[:learns] * random.rand(0.7..1.3)
        @keeps = make[:keeps] * random.rand(0.6..1.6)
        @wild = make.fetch(:wild, 0)
        @until = {}
        begin_with(make, fresh && make[:new])
        @misreadings = MISREADINGS.sample(random.rand < 0.4 ? random.rand(1..2) : 0, random:)
      end

      # @return [Boolean] whether it has a kind of times, in words, digits or hands
      def has?(kind, way, day)
        [*ORDER.select { |part| part == kind || beneath(kind).include?(part) }].all? { |part| there?(part, day) } &&
          (ALONE.value?(kind) || there?([kind, way], day))
      end

      def knows?(kind, day)
        part = ALONE.fetch(kind, kind)
        has?(part, :say, day) && has?(part, :write, day) && misreadings.none? { |misreading| hinders?(misreading, part) }
      end

      def lesson(kinds, day)
        parts = kinds.flat_map { |kind| TAUGHT.fetch(kind, [kind]) }.uniq
        parts.each { |part| taught(part, day, @learns * (parts.length**-0.5)) }
        misreadings.reject! { |misreading| parts.any? { |part| hinders?(misreading, part) } && @random.rand < 0.3 }
      end

      def practice(kind, day)
        taught(ALONE.fetch(kind, kind), day, 0.04)
      end

      def answer(kind, time, task, day, _place = 0)
        return other(time, task) if @random.rand < @wild

        wrong = misreadings.map { |misreading| predicted(misreading, time, task) }.find(&:any?)
        return wrong.sample(random: @random) if wrong && @random.rand < 0.8
        return task.right_answer(time) if has?(ALONE.fetch(kind, kind), WAYS[task.notation], day) ? @random.rand > 0.05 : lucky?(task)

        other(time, task)
      end

      private

      def begin_with(make, new_here)
        top = make[:up_to] && !new_here ? make[:up_to] : -1
        ORDER.each_with_index { |part, at| begin_part(part, at < top, make[:begins] * (1.5 - (at * 0.1))) }
      end

      def begin_part(part, had, chance)
        return unless (had || @random.rand < chance) && RESTS[part].all? { |one| @until.key?(one) }

        keep(part, 0)
        WAYS.each_value { |way| keep([part, way], 0) if @random.rand < (had ? 0.95 : 0.75) }
      end

      def beneath(kind) = (@beneath ||= {})[kind] ||= RESTS.fetch(kind).flat_map { |one| [one, *beneath(one)] }.uniq

      def there?(part, day) = @until.key?(part) && @until[part] > day

      def keep(part, day)
        @times ||= Hash.new(0)
        @times[part] += 1
        longer = @keeps * (1.6**[@times[part] - 1, 6].min)
        @until[part] = day + (-Math.log(1 - @random.rand) * longer) + 2
        RESTS.fetch(part, []).each { |one| @until[one] = [@until[one], @until[part]].max if @until.key?(one) && one != part }
      end

      def taught(part, day, chance)
        return unless RESTS.fetch(part).all? { |one| there?(one, day) } || @random.rand < 0.15

        [part, *%i[say write set].map { |way| [part, way] }].each do |one|
          keep(one, day) if there?(one, day) || @random.rand < (@until.key?(one) ? [chance * 2, 0.9].min : chance**0.6)
        end
      end

      def lucky?(task) = @random.rand < (task.guess || 0.12)

      def predicted(misreading, time, task)
        Vantick::Core::Reading::Predictions.of(task).at(time).fetch(misreading, [])
      end

      def hinders?(misreading, part)
        (@hinders ||= {})[[misreading, part]] ||= begin
          task = Vantick::Core::Tasks::Task.find(:dial_to_words)
          times = Vantick::Core::Dial::DialTime.all.select { |time| Vantick::Core::Curriculum::Difficulty.minute_class(time) == part }
          [times.count { |time| predicted(misreading, time, task).any? } * 2 > times.length]
        end
        @hinders[[misreading, part]].first
      end

      def other(time, task)
        return task.right_answer(task.times.sample(random: @random)) if task.asks != :time || @random.rand < 0.4

        away = [5, -5, 60, -60, 10, 1, -1, 30].sample(random: @random)
        task.right_answer(Vantick::Core::Dial::DialTime.from_index(time.index + away))
      end
    end
  end
end
