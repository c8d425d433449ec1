# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # How a task is asked on a child's device: what stands above it, and the way of giving the answer.
      class DeskTask
        WORDS = Facts::DataFile.load("desk")
        ENTRIES = %i[words digits hands pairs hour count mistake minutes halves].freeze

        # @return [Task]
        attr_reader :task
        # @return [Symbol] one of {ENTRIES}
        attr_reader :entry
        # @return [String] the question, for a child
        attr_reader :ask

        # @return [Array<DeskTask>] in the order in which they take turns
        def self.all = @all || Facts::Once.make { @all ||= WORDS[:tasks].map { |entry| new(entry) }.freeze }

        # @param task [Task]
        # @return [DeskTask]
        def self.for(task) = (@by_task ||= all.to_h { |kind| [kind.task.id, kind] }.freeze).fetch(task.id)

        # @param step [Step]
        # @return [Array<DeskTask>] those that the step can be practised with
        def self.of(step)
          @of ||= {}
          @of[step.id] ||= all.select { |kind| kind.suits?(step) }.freeze
        end

        # @param entry [Hash{Symbol => Object}] of desk.yml
        def initialize(entry)
          @task = Tasks::Task.find(entry[:id])
          @entry = entry[:entry].to_sym
          raise InvalidData, "desk.yml: #{entry[:id]}: #{entry[:entry]}" unless ENTRIES.include?(@entry)

          @ask = entry[:ask]
          @from = entry[:from]&.to_sym
          freeze
        end

        # @param step [Step]
        # @return [Boolean] whether it can be asked with the step's times, and the child has come that far
        def suits?(step)
          return false unless step.tasks.include?(task)

          @from.nil? || step.id == @from || step.foundations.any? { |below| below.id == @from }
        end
      end
    end
  end
end
