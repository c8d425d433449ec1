# frozen_string_literal: true

module Bench
  # A made-up child over a term, of a make that no rule of Vantick assumes: it learns a kind of times in a lesson with a chance of
  # its own, forgets by its own half-life or by a power of time, has misreadings that go or stay, and some that nobody knows.
  class Pupil
    MISREADINGS = %i[hands_swapped next_hour_early numeral_as_minutes fives_from_one fives_one_short counts_wrong_way stops_at_five
                     ticks_one_over to_with_passed_hour past_count_with_to sides_swapped day_halves_swapped zero_misplaced].freeze
    BELOW = { hour_hand: [], oclock: [], half_past: %i[hour_hand oclock], quarter_past: %i[half_past], quarter_to: %i[quarter_past],
              fives_facts: [], fives_past: %i[fives_facts quarter_past], fives_to: %i[fives_past quarter_to],
              minutes_past: %i[fives_past], minutes_to: %i[minutes_past fives_to], day_halves: %i[quarter_to] }.freeze
    # Kinds, learning chance in a lesson, and what is known at the beginning, by kind of class.
    CLASSES = { behind: [0.12..0.35, 0.03], usual: [0.2..0.5, 0.15], ahead: [0.3..0.6, 0.45], uneven: [0.1..0.7, 0.25] }.freeze

    attr_reader :misreadings

    def initialize(kind, random)
      @random = random
      rates, known = CLASSES.fetch(kind)
      @rate = random.rand(rates)
      @power = random.rand < 0.4
      @half = random.rand(8..30).to_f
      @learned = {}
      BELOW.each_key.with_index { |one, at| learn(one, 0) if random.rand < known * (1.4 - (at * 0.12)) }
      @misreadings = MISREADINGS.sample(random.rand < 0.55 ? random.rand(1..2) : 0, random:).map { |id| Vantick::Core::Misreading.find(id) }
      @own = random.rand < 0.15 ? random.rand(1..4) : nil
    end

    # @return [Float] 0..1, how likely it is there on a day
    def recall(kind, day)
      half, since = @learned[kind]
      return 0.0 unless half

      apart = (day - since).clamp(0, nil)
      @power ? 1.0 / (1 + (apart / (half * 1.6))) : 0.5**(apart / half)
    end

    # @return [Float] 0..1, all of a step's kinds, without a misreading in the way
    def knows(step, day)
      kinds = Vantick::Core::KindsOfTime.of_step(step)
      kinds.sum { |kind| hindered?(kind) ? 0.0 : recall(kind, day) } / kinds.length
    end

    def knows?(step, day) = knows(step, day) >= 0.6

    def lesson(step, day)
      kinds = Vantick::Core::KindsOfTime.of_step(step)
      share = kinds.length**-0.6
      kinds.each do |kind|
        ready = BELOW.fetch(kind).map { |below| recall(below, day) }.min || 1.0
        practise(kind, day, @rate * share * (0.3 + (0.7 * ready)), 1 + (0.5 * share))
        unlearn(kind, 0.35 * share)
      end
    end

    # One task of a recap or at a desk.
    def practice(kind, day, helped: 0.0)
      practise(kind, day, 0.04 + helped, 1.07)
      unlearn(kind, 0.03 + helped)
    end

    def answer(time, task, day)
      kind = Vantick::Core::KindsOfTime.of(task, time)
      shown = @misreadings.find { |one| Vantick::Core::Predictions.of(task).wrong_answers(one, time).any? }
      return Vantick::Core::Predictions.of(task).wrong_answers(shown, time).sample(random: @random) if shown && @random.rand < 0.75
      return task.right_answer(time) if @random.rand < (recall(kind, day) * 0.95) + ((1 - recall(kind, day)) * 0.2)

      near(time, task)
    end

    private

    def learn(kind, day, half = @half) = @learned[kind] = [half, day]

    def practise(kind, day, chance, growth)
      half, = @learned[kind]
      if half && @random.rand < recall(kind, day) then learn(kind, day, [half * growth, 150.0].min)
      elsif @random.rand < (half ? chance * 1.4 : chance) then learn(kind, day, half || @half)
      end
    end

    def hindered?(kind) = @misreadings.any? { |one| Pupil.hinders(one).include?(kind) }

    def unlearn(kind, chance) = @misreadings.reject! { |one| Pupil.hinders(one).include?(kind) && @random.rand < chance }

    # Some other time, of a make of its own where the child has one.
    def near(time, task)
      return task.right_answer(task.times.sample(random: @random)) if task.asks != :time || @random.rand < 0.5

      task.right_answer(Vantick::Core::DialTime.from_index(time.index + (@own ? @own * 7 : [5, -5, 60, -60, 10].sample(random: @random))))
    end

    # Kinds of times at which a misreading shows often.
    def self.hinders(misreading)
      (@hinders ||= {})[misreading.id] ||= begin
        whole = Vantick::Core::Step.find(:minutes).pool.group_by { |time| Vantick::Core::Difficulty.minute_class(time) }
        shown = whole.select do |_, times|
          times.count do |time|
            misreading.chance?(time, WORDS) || misreading.chance?(time, DIGITS)
          end > times.length / 2
        end.keys
        day = misreading.shows_in?(Vantick::Core::Task.find(:day_half)) ? [:day_halves] : []
        shown + day + (misreading.id == :next_hour_early ? [:hour_hand] : [])
      end
    end
  end
end
