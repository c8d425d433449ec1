# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Times to choose from, and the task that they are asked with.
      #
      # @!attribute times [Array<DialTime, DayTime>]
      # @!attribute name [String] what the pool is called, for those who ask too much of it
      # @!attribute task [Tasks::Task]
      # @!attribute discrimination [Discrimination] what times of the pool can tell
      TimePool = Struct.new(:times, :name, :task, :discrimination)

      # See above.
      class TimePool
        # @param step [Curriculum::Step]
        # @param task [Tasks::Task]
        # @return [TimePool] all times of the step that the task can ask
        # @example
        #   TimePool.of_step(Step.find(:quarters), Task.find(:dial_to_words)).times.length # 48
        def self.of_step(step, task) = new(step.pool_for(task), step.name, task, Discrimination.for(step, task))

        # @param times [Array<DialTime, DayTime>]
        # @param name [String]
        # @param task [Tasks::Task]
        # @param discrimination [Discrimination]
        def initialize(times, name, task, discrimination = Discrimination.new(times, task))
          super
          freeze
        end
      end
    end
  end
end
