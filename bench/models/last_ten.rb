# frozen_string_literal: true

module Bench
  # Counting alone: the share right of the last ten answers on a kind of times, drawn towards the child's share of all.
  class LastTen
    def initialize
      @all = []
      @by_kind = Hash.new { |kinds, kind| kinds[kind] = [] }
    end

    # @return [Float] 0..1, that the next answer is right
    def chance_of_right(task, time, _day)
      last = @by_kind[Vantick::Core::Curriculum::KnowledgeComponents.of(task, time)].last(10)
      of_all = (@all.count(true) + 1.0) / (@all.length + 2)
      (last.count(true) + (2 * of_all)) / (last.length + 2)
    end

    def answered(marked, _day)
      @all << marked.read_right?
      @by_kind[Vantick::Core::Curriculum::KnowledgeComponents.of(marked.task, marked.time)] << marked.read_right?
    end

    def taught(_step, _day) = nil
  end
end
