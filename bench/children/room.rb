# frozen_string_literal: true

module Bench
  module Children
    # Children in a room: each has climbed so far up the ladder, with gaps, and what comes out depends on the day too. They are away
    # for days running, look at their neighbour's slip, tire towards the end, have bad days and guess.
    class Room
      RUNGS = %i[oclock hour_hand half_past quarter_past fives_facts quarter_to fives_past day_halves fives_to minutes_past
                 minutes_to].freeze
      MAKES = { usual: { far: 1..6, step: 0.38, slide: 0.012 }, slow: { far: 0..3, step: 0.2, slide: 0.016 },
                quick: { far: 2..8, step: 0.6, slide: 0.006 }, mixed: { far: 0..11, step: 0.35, slide: 0.012 },
                forgetful: { far: 1..6, step: 0.42, slide: 0.05 }, guessing: { far: 0..5, step: 0.32, slide: 0.012, guess: 0.4 },
                knows_fives: { far: 9..9, step: 0.4, slide: 0.006 }, half_new: { far: 1..9, step: 0.38, slide: 0.012 } }.freeze
      TALKS = { words: 0, digits: 1, hands: 2 }.freeze
      HABITS = %i[to_with_passed_hour next_hour_always fives_from_one hands_swapped past_count_with_to ticks_one_over].freeze

      attr_accessor :neighbour
      attr_reader :misreadings

      def self.of(kind, seed, count)
        lot = Random.new(seed ^ 0x5eed)
        made = Array.new(count) { new(MAKES.fetch(kind), Random.new(lot.rand(2**30))) }
        made.each_cons(2) { |one, other| one.neighbour = other if lot.rand < 0.25 }
        made
      end

      def initialize(make, lot)
        @lot = lot
        @make = make
        @far = lot.rand(make[:far]).to_f
        @behind = [lot.rand(0.0..1.2), lot.rand(0.0..1.2), lot.rand(0.3..3.0)]
        @gaps = RUNGS.select { lot.rand < 0.06 }
        @misreadings = lot.rand < 0.3 ? [HABITS.sample(random: lot)] : []
        @touched = Hash.new(0)
        @said = {}
        @bad = {}
        @away = {}
      end

      # @return [Boolean] whether it sits there: who is away today is likely away tomorrow
      def here?(day)
        @away[day] = @lot.rand < (@away[day - 2] || @away[day - 1] ? 0.5 : 0.05) unless @away.key?(day)
        !@away[day]
      end

      def knows?(kind, day)
        ways = %i[hour_hand fives_facts day_halves].include?(kind) ? [0] : [0, 1]
        ways.all? { |way| can?(kind, way, day) } && misreadings.none? { |habit| stands_in?(habit, kind) }
      end

      def lesson(kinds, day)
        chance = @make[:step] / (kinds.length**0.5)
        kinds.each { |kind| climb(kind, chance, day) }
        @behind = @behind.map { |one| one * (1 - (0.25 * @lot.rand)) }
        @misreadings = [] if kinds.any? { |kind| @misreadings.any? { |habit| stands_in?(habit, kind) } } && @lot.rand < 0.25
      end

      def practice(kind, day)
        touch(kind, day)
        @gaps.delete(kind) if @lot.rand < 0.06
        @far = [@far, RUNGS.index(kind) + 1.0].max if RUNGS.index(kind) - level(day) < 1 && @lot.rand < 0.05
      end

      def answer(kind, time, task, day, place = 0)
        @said[[day, task.id, time]] = own(kind, time, task, day, place)
      end

      # What it wrote, for whoever looks.
      def said(day, task, time) = @said[[day, task.id, time]]

      private

      def climb(kind, chance, day)
        rung = RUNGS.index(kind)
        @far = [@far, rung + 1.0].max if rung - level(day) < 2.5 && @lot.rand < chance
        @gaps.delete(kind) if @lot.rand < chance
        touch(kind, day)
      end

      def own(kind, time, task, day, place)
        copied = @lot.rand < 0.3 ? neighbour&.said(day, task, time) : nil
        return copied if copied
        return any(time, task) if wild?(day, place)

        by_habit(time, task) || (knows_it?(kind, task, day) ? task.right_answer(time) : any(time, task))
      end

      def by_habit(time, task)
        found = misreadings.flat_map { |misreading| Vantick::Core::Reading::Predictions.of(task).at(time).fetch(misreading, []) }.first
        found if found && @lot.rand < 0.75
      end

      # Or is lucky.
      def knows_it?(kind, task, day) = can?(kind, TALKS.fetch(task.notation, 0), day) || @lot.rand < (task.guess || 0.15)

      # Guessing, a bad day, or tired towards the end.
      def wild?(day, place) = @lot.rand < @make.fetch(:guess, 0) || @lot.rand < (bad?(day) ? 0.5 : 0.012 * place)

      def bad?(day) = @bad.fetch(day) { @bad[day] = @lot.rand < 0.06 }

      def touch(kind, day) = RUNGS[0..RUNGS.index(kind)].each { |one| @touched[one] = day }

      # Rungs at the top go first.
      def level(day)
        top = RUNGS[[@far.ceil - 1, 0].max]
        @far * ((1 - @make[:slide])**([day - @touched[top] - 4, 0].max / 3.0))
      end

      def can?(kind, way, day) = !@gaps.include?(kind) && level(day) - (@behind[way] * 0.5) >= RUNGS.index(kind) + 0.4

      def stands_in?(habit, kind)
        { to_with_passed_hour: 1, past_count_with_to: 1, next_hour_always: 2, fives_from_one: 3, hands_swapped: 4, ticks_one_over: 5 }
          .fetch(habit).then do |what|
          case what
          when 1 then kind.end_with?("_to")
          when 2 then !%i[oclock fives_facts day_halves].include?(kind)
          when 3 then kind.start_with?("fives", "minutes")
          when 4 then !%i[oclock hour_hand fives_facts day_halves half_past].include?(kind)
          else kind.start_with?("minutes")
          end
        end
      end

      def any(time, task)
        return task.right_answer(task.times.sample(random: @lot)) if @lot.rand < 0.6 || task.asks != :time

        task.right_answer(Vantick::Core::Dial::DialTime.from_index(time.index + [60, -60, 5, -5, 15, 30].sample(random: @lot)))
      end
    end
  end
end
