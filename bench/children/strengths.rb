# frozen_string_literal: true

module Bench
  module Children
    # Children with a strength in each kind of times that grows and fades, and answers by item response: nothing is known or not, it only
    # goes right more often.
    class Strengths
      CLASSES = { usual: [-0.8, 0.8, 0.75, 0.006], slow: [-1.8, 0.7, 0.4, 0.008], quick: [0.2, 0.8, 1.1, 0.004],
                  mixed: [-0.6, 1.6, 0.7, 0.006], forgetful: [-0.6, 0.8, 0.9, 0.03], guessing: [-1.0, 0.8, 0.6, 0.006],
                  knows_fives: [1.6, 0.5, 0.7, 0.004], half_new: [-0.4, 2.2, 0.7, 0.006] }.freeze
      HARD = { oclock: -2.2, hour_hand: -0.8, half_past: -1.0, quarter_past: -0.5, quarter_to: 0.3, fives_facts: -0.3,
               fives_past: 0.5, fives_to: 1.2, minutes_past: 1.3, minutes_to: 2.1, day_halves: 0.6 }.freeze
      # In words what is said with "to" is harder than in digits; setting hands is harder than reading them.
      HARDER = { words: ->(kind) { kind.to_s.end_with?("_to") ? 0.5 : 0.0 },
                 digits: ->(kind) { kind.to_s.end_with?("_to") ? -0.1 : 0.1 }, hands: ->(_) { 0.5 } }.freeze
      SPREADS = { fives_past: %i[fives_to minutes_past], fives_to: %i[minutes_to], quarter_past: %i[half_past],
                  half_past: %i[oclock], minutes_past: %i[minutes_to fives_past], fives_facts: %i[fives_past fives_to],
                  hour_hand: %i[half_past quarter_to] }.freeze
      WRONG = %i[next_hour_early to_with_passed_hour numeral_as_minutes hands_swapped ticks_one_over stops_at_five fives_one_short].freeze

      attr_reader :misreadings

      def self.of(kind, seed, count)
        rng = Random.new(seed * 7919)
        Array.new(count) { new(kind, CLASSES.fetch(kind), Random.new(rng.rand(2**30))) }
      end

      def initialize(kind, numbers, rng)
        middle, spread, @pace, @fades = numbers
        @rng = rng
        able = middle + (spread * normal)
        @level = HARD.to_h { |one, _| [one, able + (0.5 * normal)] }
        @floor = @level.dup
        @seen = Hash.new(0)
        @blind = kind == :guessing ? 0.25 : 0.02
        @misreadings = rng.rand < 0.35 ? [WRONG.sample(random: rng)] : []
        @own_pace = @pace * (0.5 + rng.rand)
      end

      # @return [Float] 0..1, that it goes right
      def chance(kind, task, day)
        lucky = task.guess || 0.1
        logit = 1.7 * (strength(kind, day) - HARD.fetch(kind) - HARDER.fetch(task.notation, ->(_) { 0.0 }).call(kind))
        right = lucky + ((1 - lucky) / (1 + Math.exp(-logit)))
        (right * 0.97 * (1 - @blind)) + (@blind * lucky)
      end

      def knows?(kind, day)
        both = %i[dial_to_words dial_to_digital].map { |id| Vantick::Core::Tasks::Task.find(id) }
        both = [Vantick::Core::Curriculum::Step.find(kind).tasks.first] if %i[hour_hand fives_facts day_halves].include?(kind)
        misreadings.none? { |misreading| reach(misreading, kind) } && both.all? { |task| chance(kind, task, day) >= 0.8 }
      end

      def lesson(kinds, day)
        kinds.each do |kind|
          gain(kind, day, @own_pace * 1.5 / (kinds.length**0.5))
          SPREADS.fetch(kind, []).each { |other| gain(other, day, @own_pace * 0.35 / (kinds.length**0.5)) }
        end
        misreadings.clear if kinds.any? { |kind| misreadings.any? { |misreading| reach(misreading, kind) } } && @rng.rand < 0.3
      end

      def practice(kind, day) = gain(kind, day, @own_pace * 0.08)

      def answer(kind, time, task, day, _place = 0)
        foreseen = misreadings.flat_map { |misreading| Vantick::Core::Reading::Predictions.of(task).at(time).fetch(misreading, []) }
        return foreseen.sample(random: @rng) if foreseen.any? && @rng.rand < 0.65
        return task.right_answer(time) if @rng.rand < chance(kind, task, day)

        lost(time, task)
      end

      private

      def normal = Math.sqrt(-2 * Math.log(1 - @rng.rand)) * Math.cos(6.283185 * @rng.rand)

      def strength(kind, day)
        gone = Math.exp(-@fades * [day - @seen[kind], 0].max)
        @floor[kind] + ((@level[kind] - @floor[kind]) * gone)
      end

      def gain(kind, day, amount)
        now = strength(kind, day)
        @level[kind] = now + amount
        @floor[kind] += amount * 0.35
        @seen[kind] = day
      end

      def reach(misreading, kind)
        { next_hour_early: %i[quarter_to fives_to minutes_to], to_with_passed_hour: %i[quarter_to fives_to minutes_to],
          numeral_as_minutes: %i[fives_past fives_to fives_facts quarter_past], hands_swapped: %i[quarter_past fives_past fives_to],
          ticks_one_over: %i[minutes_past minutes_to], stops_at_five: %i[minutes_past minutes_to],
          fives_one_short: %i[fives_past fives_to] }.fetch(misreading).include?(kind)
      end

      # Often a mistake that many make, else some time about there.
      def lost(time, task)
        usual = Vantick::Core::Reading::Predictions.of(task).at(time).values_at(*WRONG).compact.flatten(1)
        return usual.sample(random: @rng) if usual.any? && @rng.rand < 0.35
        return task.right_answer(task.times.sample(random: @rng)) unless task.asks == :time

        minutes = (@rng.rand(-4..4) * 5) + (@rng.rand < 0.3 ? 60 : 0) + (@rng.rand < 0.2 ? 1 : 0)
        task.right_answer(Vantick::Core::Dial::DialTime.from_index(time.index + (minutes.zero? ? 55 : minutes)))
      end
    end
  end
end
