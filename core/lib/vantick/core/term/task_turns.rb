# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What is asked in the lessons on a step: its tasks take turns, words and digits first of all, as both are to be known.
      class TaskTurns
        # The tasks by which a way of asking is taught.
        NOTATIONS = { say: :dial_to_words, write: :dial_to_digital }.freeze

        APART = NUMBERS[:turns][:apart]

        # @param first [Symbol] the way of asking that a class begins with, one of {NOTATIONS}' keys
        def initialize(first: :say)
          @first = first
          @turns = {}
        end

        # @param step [Curriculum::Step] of the next lesson
        # @param expected [Array<Knowing::Expected>] of each child then
        # @return [Symbol, nil] the task; at first what the class begins with, unless it knows clearly less of the other
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
          ways = NOTATIONS.keys.partition { |way| way == @first }.flatten
          first, second = ways.map { |way| expected.sum { |child| child.ways(step).fetch(way, 0) } }
          NOTATIONS.values_at(*(first - second > APART * expected.length ? ways.reverse : ways))
        end
      end
    end
  end
end
