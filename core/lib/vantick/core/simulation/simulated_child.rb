# frozen_string_literal: true

module Vantick
  module Core
    # A made-up child with chosen misreadings, for the demo and for tests: the same seed answers the same.
    class SimulatedChild
      # @param misreadings [Array<Misreading>] tried in this order; none for a child who is secure
      # @param consistency [Float] 0..1, how often a misreading shows where it can
      # @param careless [Float] 0..1, how often an answer is some other time altogether
      # @param seed [Integer]
      def initialize(misreadings: [], consistency: 1.0, careless: 0.0, seed: 0)
        @misreadings = misreadings
        @consistency = consistency
        @careless = careless
        @random = Random.new(seed)
      end

      # @param time [DialTime] what the dial shows
      # @param task [Task]
      # @return [String] what the child writes
      def answer(time, task)
        return task.right_answer(DialTime.all.sample(random: @random)).to_s if @random.rand < @careless

        wrong = @misreadings.map { |misreading| misreading.wrong_answers(time, task) }.find(&:any?)
        return task.right_answer(time).to_s unless wrong && @random.rand < @consistency

        wrong.sample(random: @random).to_s
      end
    end
  end
end
