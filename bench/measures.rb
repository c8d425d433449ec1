# frozen_string_literal: true

require_relative "sizes"

# Each measure is a ratio of two things taken in one run, so that it means the same on any machine.
module Bench
  include Vantick::Core

  DIGITS = Tasks::Task.find(:dial_to_digital)
  WORDS = Tasks::Task.find(:dial_to_words)

  POOLS = %i[minutes fives quarters].product([DIGITS, WORDS]).map { |id, task| [Curriculum::Step.find(id), task] }
                                    .first(Sizes[:pools]).freeze
  CARELESS = 0.05

  # What was found: the ratio, and shares by name that explain it.
  Taken = Struct.new(:ratio, :details)

  # One measure: what is taken from a seed, and where its ratio should lie.
  Measure = Struct.new(:name, :about, :wanted, :family, :block) do
    def self.heading(seed) = "measure (seed #{seed})         ratio   wanted"

    def take(seed) = family.instance.instance_exec(seed, &block).then { |found| found.is_a?(Taken) ? found : Taken.new(found, {}) }

    def facts(taken, seed)
      { measure: name, about:, seed:, ratio: taken.ratio.round(3), wanted:, details: taken.details.transform_values do |value|
        value.round(4)
      end }
    end

    def table(taken)
      details = taken.details.map { |key, value| format("  %<key>-44s %<value>.3f", key:, value:) }
      [format("%<name>-26s %<ratio>9.3f   %<wanted>s  (%<about>s)", name:, ratio: taken.ratio, wanted:, about:), *details].join("\n")
    end
  end

  MEASURES = {} # rubocop:disable Style/MutableConstant -- each family of measures adds its own

  # Measures that are about the same thing, and how it is taken. What one family has no other one sees.
  class Family
    include Vantick::Core

    class << self
      # @return [Family] one for all of its measures, so that what takes long is taken once
      def instance = @instance ||= new

      def measure(name, about, wanted, &block)
        raise ArgumentError, "two measures are called #{name}" if MEASURES.key?(name)

        MEASURES[name] = Measure.new(name, about, wanted, self, block)
      end
    end

    # How many children have a misreading that many have for each one that has a seldom one.
    OFTEN = 4

    # Every misreading of a step and task in turn, and children without one; seldom ones less often.
    def truths(step, task)
      seldom, often = Choosing::Discrimination.for(step, task).misreadings.partition(&:seldom?)
      ([[], *often.zip] * OFTEN) + seldom.zip
    end

    def answered(child, task, times)
      times.map { |time| Marking::Marker.mark(task:, time:, text: child.answer(time, task)) }
    end

    # The quickest of a few runs: what else the machine does only ever adds to a time.
    def quickest(rounds = 5, &) = Array.new([rounds, Sizes[:rounds]].min) { Benchmark.realtime(&) }.min

    def share(list, &) = list.empty? ? 0.0 : list.count(&) / list.length.to_f

    def mean(values) = values.sum / values.length.to_f
  end
end
