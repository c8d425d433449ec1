# frozen_string_literal: true

require_relative "parts"
require_relative "strengths"
require_relative "ways"
require_relative "room"

module Bench
  # Made-up children of several makes that share neither code nor numbers.
  module Children
    Core = Vantick::Core
    FAMILIES = { parts: Parts, strengths: Strengths, ways: Ways, room: Room }.freeze
    # None of the numbers of Vantick is chosen by it.
    HELD_OUT = :ways
    CLASSES = %i[usual slow quick mixed forgetful guessing knows_fives half_new].freeze

    # A term of a class of one family, taught by a plain scheme: answers and lessons, and what is true of each child along the way.
    class History
      SCHEME = %i[oclock hour_hand half_past half_past quarter_past quarter_to quarter_to quarters fives_facts fives_facts fives_past
                  fives_past fives_to fives_to fives quarters fives minutes_past minutes_past minutes_to minutes_to minutes fives
                  minutes day_halves minutes].freeze
      TASKS = %i[dial_to_words dial_to_digital dial_to_words dial_to_digital words_to_dial words_to_digital].freeze
      EXIT = 5
      MIXED = 8
      MIXED_EVERY = 4
      AWAY = 0.06
      HOLIDAY_AFTER = 15
      HOLIDAY = 21

      attr_reader :children, :answers, :lessons, :day

      def initialize(family, kind, seed, count: 26, first: 0)
        @random = Random.new(seed)
        @children = FAMILIES.fetch(family).of(kind, seed, count)
        @answers = @children.to_h { |child| [child, []] }
        @lessons = []
        @first = first
      end

      # Three lessons a week, with a holiday.
      def self.day(lesson) = (lesson / 3 * 7) + [0, 2, 4][lesson % 3] + (lesson >= HOLIDAY_AFTER ? HOLIDAY : 0)

      # @yield [History] before each lesson
      def run(count = SCHEME.length)
        count.times do |at|
          @day = History.day(at)
          yield self if block_given?
          step = Core::Curriculum::Step.find(SCHEME[(at + @first) % SCHEME.length])
          mixed if (at % MIXED_EVERY) == MIXED_EVERY - 1
          give(step)
        end
        @day += 3
        yield self if block_given?
        self
      end

      def kinds(step) = Core::Curriculum::KnowledgeComponents.of_step(step)

      private

      def here = @children.select { |child| child.respond_to?(:here?) ? child.here?(@day) : @random.rand >= AWAY }

      def give(step)
        there = here
        there.each { |child| child.lesson(kinds(step), @day) }
        task = step.whole? ? TASKS.sample(random: @random) : step.tasks.first.id
        ask(there, step, Core::Tasks::Task.find(task), EXIT)
        @lessons << Core::Teaching::SchemeOfWork::GivenLesson.new(step:, day: @day)
      end

      # What was taught so far, some of each.
      def mixed
        steps = @lessons.map(&:step).uniq.sample(3, random: @random)
        there = here
        steps.each do |step|
          task = step.whole? ? TASKS.sample(random: @random) : step.tasks.first.id
          ask(there, step, Core::Tasks::Task.find(task), MIXED / 2)
        end
      end

      def ask(there, step, task, many)
        times = step.pool_for(task).reject(&:hidden_hand?).sample(many, random: @random)
        there.each { |child| times.each_with_index { |time, place| answer(child, step, task, time, place) } }
      end

      def answer(child, step, task, time, place)
        kind = Core::Curriculum::KnowledgeComponents.of(task, time)
        text = task.write(child.answer(kind, time, task, @day, place))
        marked = Core::Marking::Marker.mark(task:, time:, text:)
        child.practice(kind, @day)
        @answers[child] << Core::Curriculum::ItemResponse.new(step:, marked:, day: @day)
      end
    end
  end
end
