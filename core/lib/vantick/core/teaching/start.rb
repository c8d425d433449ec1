# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Where one child stands as a forecast begins, kind of times by kind.
      # @!attribute known [Array<Float>] 0..1
      # @!attribute strengths [Array<Float>] half-lives in days
      # @!attribute hindered [Array<Boolean>] whether a likely misreading lies in the way
      Start = Struct.new(:known, :strengths, :hindered, keyword_init: true)

      # How it is worked out.
      class Start
        # @param progress [Teaching::ChildProgress]
        # @param kinds [Array<Symbol>]
        # @return [Start]
        def self.of(progress, kinds)
          steps = kinds.map { |kind| Start.step_of(kind) }
          strengths = kinds.map { |kind| progress.expected.half(kind) }
          hindered = steps.map { |step| progress.diagnosis.likely.any? { |misreading| step.shows?(misreading) } }
          new(known: kinds.map { |kind| progress.expected.known(kind) }, strengths:, hindered:).freeze
        end

        # @param kind [Symbol]
        # @return [Curriculum::Step] the first that has it
        def self.step_of(kind)
          (@steps ||= {})[kind] ||= Curriculum::Step.with_times.find { |step| Curriculum::KnowledgeComponents.of_step(step).include?(kind) }
        end
      end
    end
  end
end
