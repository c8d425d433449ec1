# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Which pairs of {right, misreadings} each time of a task keeps apart, worked out once for each time that is asked for.
      class DiscriminationMatrix
        # @return [Array<Array(Misreading, Misreading)>] the pairs, by number; the right reading is nil
        attr_reader :pairs

        # @param task [Task]
        # @return [DiscriminationMatrix]
        def self.of(task)
          @made ||= {}
          @made[task.id] ||= new(task)
        end

        # @param task [Tasks::Task]
        def initialize(task)
          @task = task
          @readings = [nil, *Reading::Misreading.for(task)].freeze
          @pairs = @readings.combination(2).map(&:freeze).freeze
          @places = @readings.each_index.to_a.combination(2).to_a.freeze
          @apart = {}
        end

        # @param time [DialTime]
        # @return [Array<Integer>] numbers of {#pairs} whose answers share nothing there
        def at(time) = @apart[time.index] ||= apart(answers(time))

        private

        def apart(answers)
          @places.each_index.select do |number|
            one, other = @places[number]
            answers[one].nobits?(answers[other])
          end.freeze
        end

        # What each reading predicts, as a set of bits, one for each answer: pairs are many, answers few. The right reading
        # predicts the right answer; so does a misreading where it does not show.
        def answers(time)
          bits = Hash.new { |known, answer| known[answer] = 1 << known.length }
          @readings.map do |reading|
            (reading ? reading.predicted(time, @task) : [@task.right_answer(time)]).reduce(0) { |set, answer| set | bits[answer] }
          end
        end
      end
    end
  end
end
