# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What a teacher says of a child without an answer: it knows a step, or does not yet.
      # @!attribute step [Step]
      # @!attribute known [Boolean] whether the child knows it
      # @!attribute day [Integer] in any count of days
      Said = Struct.new(:step, :known, :day, keyword_init: true) do
        # @return [Array<Step>] what it is said of: who knows a step knows what it covers, who does not yet may know that all the same
        def steps = known ? [step, *Step.with_times.select { |other| step.covers?(other) }] : [step]

        # @param said [Array<Said>]
        # @param tracing [Tracing] that has followed it, and the answers since
        # @return [Array<Step>] those that are said to be known, where no answers speak against it
        def self.passed(said, tracing)
          said.select(&:known).flat_map(&:steps).uniq.select { |step| tracing.of_step(step) >= Standing::EXPECTED }
        end

        # @return [Array<Step>] those that are said not to be known yet, where no answers speak against it
        def self.doubted(said, tracing)
          said.reject(&:known).map(&:step).select { |step| tracing.of_step(step) < Standing::EXPECTED }
        end
      end
    end
  end
end
