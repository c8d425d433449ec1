# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Which pairs of {right, misreadings} each time of a task keeps apart, worked out once a task.
      class Separations
        # @param task [Task]
        # @return [Separations]
        def self.of(task)
          @made ||= {}
          @made[task.id] ||= new(task)
        end

        def initialize(task)
          @readings = [nil, *Reading::Misreading.for(task)]
          @apart = task.times.to_h { |time| [time.index, pairs(time, task).freeze] }.freeze
          freeze
        end

        # @param time [DialTime]
        # @return [Array<Array(Misreading, Misreading)>] pairs; the right reading is nil
        def at(time) = @apart.fetch(time.index)

        private

        # The right reading predicts the right answer; so does a misreading where it does not show.
        def pairs(time, task)
          predicted = @readings.to_h { |one| [one, one ? one.predicted(time, task) : [task.right_answer(time)]] }
          @pairs ||= @readings.combination(2).map(&:freeze)
          @pairs.reject { |one, other| predicted[one].intersect?(predicted[other]) }
        end
      end
    end
  end
end
