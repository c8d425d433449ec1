# frozen_string_literal: true

module Bench
  # A logistic regression on how often a kind of times went right and wrong before (Performance Factors Analysis: Pavlik, Cen and
  # Koedinger, 2009; from memory), with logarithms of both counts, fitted on other children.
  class Successes
    ROUNDS = 12
    RATE = 0.05

    # What is fitted, once for all children.
    class Weights
      def initialize = @all = Hash.new { |kinds, kind| kinds[kind] = [0.0, 0.0, 0.0] }

      def chance(kind, counts)
        one, right, wrong = @all[kind]
        1 / (1 + Math.exp(-(one + (right * Math.log(1 + counts[0])) + (wrong * Math.log(1 + counts[1])))))
      end

      def fit(rows, random)
        ROUNDS.times do |round|
          rows.shuffle(random:).each { |kind, counts, right| move(kind, counts, right, RATE / (1 + round)) }
        end
        self
      end

      private

      def move(kind, counts, right, rate)
        off = chance(kind, counts) - (right ? 1 : 0)
        steps = [1.0, Math.log(1 + counts[0]), Math.log(1 + counts[1])]
        @all[kind] = @all[kind].zip(steps).map { |weight, step| weight - (rate * off * step) }
      end
    end

    # @param histories [Array<Array<MarkedAnswer>>] of other children
    # @return [Weights]
    def self.fitted(histories, random)
      rows = histories.flat_map do |answers|
        counts = Hash.new { |kinds, kind| kinds[kind] = [0, 0] }
        answers.map do |marked|
          kind = Vantick::Core::Curriculum::KnowledgeComponents.of(marked.task, marked.time)
          [kind, counts[kind].dup, marked.read_right?].tap { counts[kind][marked.read_right? ? 0 : 1] += 1 }
        end
      end
      Weights.new.fit(rows, random)
    end

    def initialize(weights)
      @weights = weights
      @counts = Hash.new { |kinds, kind| kinds[kind] = [0, 0] }
    end

    def chance_of_right(task, time, _day)
      kind = Vantick::Core::Curriculum::KnowledgeComponents.of(task, time)
      @weights.chance(kind, @counts[kind])
    end

    def answered(marked, _day)
      @counts[Vantick::Core::Curriculum::KnowledgeComponents.of(marked.task, marked.time)][marked.read_right? ? 0 : 1] += 1
    end

    def taught(_step, _day) = nil
  end
end
