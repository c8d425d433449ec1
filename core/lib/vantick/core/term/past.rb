# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # What of a term is over when the rest is planned.
      #
      # @!attribute from [Integer] the first day to plan; earlier ones are over
      # @!attribute lessons [Array<Teaching::SchemeOfWork::GivenLesson>] there were, oldest first
      # @!attribute lost [Integer] lessons that were planned and not given
      # @!attribute unchecked [Integer] lessons since the last check
      Past = Struct.new(:from, :lessons, :lost, :unchecked, keyword_init: true) do
        def initialize(from:, lessons: [], lost: 0, unchecked: NUMBERS[:plan][:check_apart])
          super
          freeze
        end

        # @param planned [Array<Planned>] lessons of a plan that are over
        # @param from [Integer] the first day to plan
        # @return [Past]
        def self.of(planned, from:)
          taught = planned.select { |lesson| lesson.taught? && lesson.kind != :short }
          checked = taught.any?(&:check) ? { unchecked: taught.reverse.take_while { |lesson| !lesson.check }.length } : {}
          new(from:, lost: planned.count { |lesson| lesson.kind == :skipped }, **checked)
        end

        # @param lessons [Array<Teaching::SchemeOfWork::GivenLesson>]
        # @return [Past] with these lessons
        def after(lessons) = self.class.new(**to_h, lessons:)
      end
    end
  end
end
