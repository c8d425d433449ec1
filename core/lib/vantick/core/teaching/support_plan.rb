# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Some weeks of help for a child who is far below the class: from the lowest step that it has not shown, with the mistake that most
      # likely lies behind it, first in the way of answering that it knows least.
      class SupportPlan
        TABLE = Facts::DataFile.load("support_plan")
        WAYS = TABLE[:ways].transform_values { |id| Tasks::Task.find(id) }.freeze
        # What is known of a way, the least first.
        LEAST_FIRST = %i[not_asked not_yet learning nearly secure].freeze

        # A week: its step and task, the mistake that is worked on (nothing where none is likely), and clocks to practise with.
        Week = Struct.new(:step, :task, :misreading, :times, keyword_init: true)

        # @param progress [ClassProgress] of the class
        # @param key [Object] of the child
        # @param seed [Integer] other clocks for another seed
        # @return [Array<Week>] none where the child has shown every step up to the class's own
        def self.of(progress, key, seed: 0) = new(progress, key, seed).weeks

        # @param progress [ClassProgress] of the class
        # @param key [Object] of the child
        # @param seed [Integer] other clocks for another seed
        def initialize(progress, key, seed)
          @class = progress
          @child = progress.by_child.fetch(key)
          @key = key
          @seed = seed
        end

        # @return [Array<Week>]
        def weeks
          tasks = steps.flat_map { |step| tasks(step).map { |task| [step, task] } }
          return [] if tasks.empty?

          # The last week goes on to the next step, or over the first once more.
          own, on = tasks.partition { |step, _| step == tasks.first.first }
          asked = [*own.first(TABLE[:weeks] - 1), *on, *tasks.cycle.first(TABLE[:weeks])].first(TABLE[:weeks])
          asked.each_with_index.map { |(step, task), at| week(step, task, at) }
        end

        private

        # What most of the class know and the child doesn't yet, the lowest first, and then what is next for the class.
        def steps
          on = [@class.next_step&.step].compact.reject { |step| @child.shown?(step) }
          left = Curriculum::Step.with_times & (@class.behind(@key) | on)
          left.empty? ? [@class.next_for(@key)].compact : left
        end

        def tasks(step)
          known = @child.ways(step)
          found = WAYS.select { |_, task| step.tasks.include?(task) }
          return step.tasks.first(1) if found.empty?

          found.sort_by { |way, _| LEAST_FIRST.index(known.fetch(way, :not_asked)) }.map(&:last)
        end

        def week(step, task, at)
          likely = @child.diagnosis.likely.find { |misreading| step.misreadings(task).include?(misreading) }
          count = [TABLE[:clocks], step.pool_for(task).length].min
          times = Choosing::Chooser.choose(step:, task:, count:, seed: @seed + at).times
          Week.new(step:, task:, misreading: likely, times:).freeze
        end
      end
    end
  end
end
