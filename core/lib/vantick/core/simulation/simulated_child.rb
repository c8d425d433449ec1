# frozen_string_literal: true

module Vantick
  module Core
    module Simulation
      # A made-up child with chosen misreadings, the stand-in for a real one in the demo, the tests and the
      # benchmark. The same seed answers the same.
      class SimulatedChild
        # @param misreadings [Array<Misreading>] tried in this order; none for a child who is secure
        # @param consistency [Float] 0..1, how often a misreading shows where it can
        # @param careless [Float] 0..1, how often an answer is some other time altogether
        # @param slips [Float] 0..1, how often an answer has a writing slip
        # @param seed [Integer]
        def initialize(misreadings: [], consistency: 1.0, careless: 0.0, slips: 0.0, seed: 0)
          @misreadings = misreadings
          @consistency = consistency
          @careless = careless
          @slips = slips
          @random = Random.new(seed)
        end

        # @param time [DialTime] what the dial shows
        # @param task [Task]
        # @param mistake [Mistakes::Mistake, nil] the one to spot, where that is the task
        # @return [String] what the child writes
        def answer(time, task, mistake: nil)
          text = task.write(claim(time, task))
          if mistake
            return mistake.time == time && Wording::AnswerReader.read(text).first&.time == time ? "#{mistake.misreading.id}; #{text}" : text
          end

          @slips.positive? && @random.rand < @slips ? WritingSlips.write(text, task.notation, @random) : text
        end

        private

        def claim(time, task)
          return task.right_answer(task.times.sample(random: @random)) if @random.rand < @careless

          wrong = @misreadings.map { |misreading| misreading.wrong_answers(time, task) }.find(&:any?)
          wrong && @random.rand < @consistency ? wrong.sample(random: @random) : task.right_answer(time)
        end
      end
    end
  end
end
