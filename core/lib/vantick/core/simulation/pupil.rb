# frozen_string_literal: true

module Vantick
  module Core
    module Simulation
      # A made-up child over a term, of a make that no rule of Vantick assumes: it learns a kind of times in a lesson with a chance of
      # its own, forgets by its own half-life or by a power of time, has misreadings that go or stay, and now and then one that
      # nobody knows.
      class Pupil
        MISREADINGS = %i[hands_swapped next_hour_early numeral_as_minutes fives_from_one fives_one_short counts_wrong_way stops_at_five
                         ticks_one_over to_with_passed_hour past_count_with_to sides_swapped day_halves_swapped zero_misplaced].freeze
        BELOW = { hour_hand: [], oclock: [], half_past: %i[hour_hand oclock], quarter_past: %i[half_past], quarter_to: %i[quarter_past],
                  fives_facts: [], fives_past: %i[fives_facts quarter_past], fives_to: %i[fives_past quarter_to],
                  minutes_past: %i[fives_past], minutes_to: %i[minutes_past fives_to], day_halves: %i[quarter_to] }.freeze
        # The chance of learning in a lesson, and how much is known at the beginning, by kind of class.
        CLASSES = { behind: [0.12..0.35, 0.03], usual: [0.2..0.5, 0.15], ahead: [0.3..0.6, 0.45], uneven: [0.1..0.7, 0.25] }.freeze
        CONSISTENCY = 0.75
        ASKED = %i[dial_to_words dial_to_digital].freeze
        # From which recall on a step counts as known: more than two in three answers come right then.
        KNOWS = 0.75

        # @return [Array<Reading::Misreading>] those it has now
        attr_reader :misreadings

        # @param kind [Symbol] of class, one of {CLASSES}
        # @param random [Random]
        # @param traits [Traits]
        def initialize(kind, random, traits = Traits.new)
          @random = random
          @traits = traits
          own, known = CLASSES.fetch(kind)
          @rate = random.rand(traits.rates || own)
          @power = random.rand < traits.power
          @half = random.rand(traits.half).to_f
          @learned = {}
          BELOW.each_key.with_index { |step, at| learn(step, 0) if random.rand < known * (1.4 - (at * 0.12)) }
          @misreadings = (traits.misreadings || by_lot).map { |id| Reading::Misreading.find(id) }
          @own = random.rand(1..4) if random.rand < 0.15
        end

        # @param kind [Symbol] a knowledge component
        # @param day [Integer]
        # @return [Float] 0..1, how likely a kind of times is there on a day
        def recall(kind, day)
          half, since = @learned[kind]
          return 0.0 unless half

          apart = [day - since, 0].max
          @power ? 1.0 / (1 + (apart / (half * 1.6))) : 0.5**(apart / half)
        end

        # @param step [Step]
        # @param day [Integer]
        # @return [Float] 0..1, of a step's kinds, those without a misreading in the way
        def knows(step, day)
          kinds = Curriculum::KnowledgeComponents.of_step(step)
          kinds.sum { |kind| hindered?(kind) ? 0.0 : recall(kind, day) } / kinds.length
        end

        # @param step [Step]
        # @param day [Integer]
        def knows?(step, day) = knows(step, day) >= KNOWS

        # @param kind [Symbol]
        # @return [Boolean] whether a misreading lies in the way
        def hindered?(kind) = @misreadings.any? { |misreading| Pupil.hinders(misreading).include?(kind) }

        # How much of what a kind rests on is there.
        # @param kind [Symbol]
        # @param day [Integer]
        def ready(kind, day) = BELOW.fetch(kind).map { |below| recall(below, day) }.min || 1.0

        # @param step [Step]
        # @param day [Integer]
        def lesson(step, day)
          kinds = Curriculum::KnowledgeComponents.of_step(step)
          share = kinds.length**-0.6
          kinds.each do |kind|
            practise(kind, day, @rate * share * (0.3 + (0.7 * ready(kind, day))), 1 + (0.5 * share))
            USES[kind].each { |used| practise(used, day, @rate * share * 0.5, 1 + (0.25 * share)) }
            unlearn(kind, 0.35 * share)
          end
        end

        # What reading a whole dial exercises besides.
        USES = Hash.new { [] }.merge(half_past: %i[hour_hand], quarter_past: %i[hour_hand], quarter_to: %i[hour_hand],
                                     fives_past: %i[hour_hand fives_facts], fives_to: %i[hour_hand fives_facts],
                                     minutes_past: %i[hour_hand], minutes_to: %i[hour_hand]).freeze

        # One task of a recap or at a desk.
        # @param kind [Symbol]
        # @param day [Integer]
        # @param helped [Float] how much more is learned of it where somebody helps
        def practice(kind, day, helped: 0.0)
          practise(kind, day, 0.04 + helped, 1.07)
          USES[kind].each { |used| practise(used, day, 0.04 + helped, 1.07) }
          unlearn(kind, 0.03 + helped)
        end

        # @param time [DialTime, DayTime]
        # @param task [Task]
        # @param day [Integer]
        # @return what it answers, as the task has it
        def answer(time, task, day)
          there = recall(Curriculum::KnowledgeComponents.of(task, time), day)
          wrong = @misreadings.map { |misreading| Reading::Predictions.of(task).wrong_answers(misreading, time) }.find(&:any?)
          return wrong.sample(random: @random) if wrong && @random.rand < CONSISTENCY
          return task.right_answer(time) if @random.rand < (there * 0.95) + ((1 - there) * 0.2)

          near(time, task)
        end

        # Kinds of times at which a misreading shows more often than not.
        # @param misreading [Misreading]
        def self.hinders(misreading)
          (@hinders ||= {})[misreading.id] ||= begin
            whole = Curriculum::Step.find(:minutes).pool.group_by { |time| Curriculum::Difficulty.minute_class(time) }
            kinds = whole.select { |_, times| times.count { |time| shows?(misreading, time) } > times.length / 2 }.keys
            kinds << :day_halves if misreading.shows_in?(Tasks::Task.find(:day_half))
            misreading.id == :next_hour_early ? [*kinds, :hour_hand] : kinds
          end
        end

        # @param misreading [Misreading]
        # @param time [DialTime, DayTime]
        def self.shows?(misreading, time) = ASKED.any? { |task| misreading.chance?(time, Tasks::Task.find(task)) }

        private

        def by_lot = MISREADINGS.sample(@random.rand < 0.55 ? @random.rand(1..2) : 0, random: @random)

        def learn(kind, day, half = @half) = @learned[kind] = [half, day]

        def practise(kind, day, chance, growth)
          half, = @learned[kind]
          if half && @random.rand < recall(kind, day) then learn(kind, day, [half * growth, @traits.longest].min)
          elsif @random.rand < (half ? chance * 1.4 : chance) then learn(kind, day, half || @half)
          end
        end

        def unlearn(kind, chance)
          @misreadings.reject! { |misreading| Pupil.hinders(misreading).include?(kind) && @random.rand < chance * @traits.unlearns }
        end

        # Some other time, of a make of its own where the child has one.
        def near(time, task)
          return task.right_answer(task.times.sample(random: @random)) if task.asks != :time || @random.rand < 0.5

          away = @own ? @own * 7 : [5, -5, 60, -60, 10].sample(random: @random)
          task.right_answer(Dial::DialTime.from_index(time.index + away))
        end
      end
    end
  end
end
