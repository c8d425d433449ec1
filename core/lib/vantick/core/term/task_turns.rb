# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What is asked in the lessons on a step: its tasks take turns, words and digits first of all, as both are to be known.
      class TaskTurns
        # The tasks by which a way of asking is taught.
        NOTATIONS = { say: :dial_to_words, write: :dial_to_digital }.freeze

        def initialize
          @turns = {}
        end

        # @param step [Teaching::Step] of the next lesson
        # @param expected [Array<Knowing::Expected>] of each child then
        # @return [Symbol, nil] the task; at first that of which the class knows less
        def next(step, expected)
          (@turns[step] ||= tasks(step, expected)).rotate!.last
        end

        private

        def tasks(step, expected)
          all = Teaching::LessonPlan.tasks(step).map(&:id)
          both = notations(step, expected) & all
          both.empty? ? all : both
        end

        def notations(step, expected)
          known = expected.map { |one| one.ways(step) }.reduce { |sums, own| sums.merge(own) { |_, sum, more| sum + more } }
          known.to_h.sort_by(&:last).filter_map { |way, _| NOTATIONS[way] }
        end
      end
    end
  end
end
