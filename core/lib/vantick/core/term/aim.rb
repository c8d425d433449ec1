# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What a class is to know by a day: a step, or all that a published standard asks for.
      class Aim
        # @return [Curriculum::Step] the last of its steps
        attr_reader :step
        # @return [Array<Curriculum::Step>] it and what it rests on, in the order of the ladder
        attr_reader :ladder
        # @return [Hash{Symbol => Float}] its kinds of times, each with its share of the times
        attr_reader :shares

        # @return [Array<String>] published standards, as the ladder names them
        def self.standards = @standards ||= Curriculum::Step.with_times.flat_map(&:standards).uniq.freeze

        # @param name [String, Symbol] a step, or one of {standards}
        # @raise [UnknownName]
        def initialize(name)
          serving = Curriculum::Step.with_times.select { |step| step.standards.include?(name.to_s) }
          @step = serving.last || Curriculum::Step.find(name)
          steps = serving.any? ? serving : [@step]
          @ladder = (Curriculum::Step.with_times & steps.flat_map { |step| [step, *step.foundations] }).freeze
          @shares = Aim.shares_of(steps).freeze
          freeze
        end

        # @return [Array<Symbol>] all kinds of times that play a part
        def kinds = ladder.flat_map { |step| Curriculum::KnowledgeComponents.of_step(step) }.uniq

        # Minutes of the hour are as many times; what is learned of one hand counts like a quarter.
        # @param steps [Array<Step>]
        def self.shares_of(steps)
          whole = steps.select(&:whole?).flat_map(&:pool).uniq.group_by { |time| Curriculum::Difficulty.minute_class(time) }
          counts = whole.transform_values { |times| times.length.to_f }
          least = counts.values.min || 1.0
          steps.reject(&:whole?).each { |step| counts[step.id] = least }
          counts.transform_values { |count| count / counts.values.sum }
        end
      end
    end
  end
end
