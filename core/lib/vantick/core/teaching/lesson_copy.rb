# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # A lesson's plan for another day: pinned times stand where they stood, all others are chosen anew, and are
      # other ones where the step has enough.
      module LessonCopy
        # @param settings [LessonSettings] a plan with its times
        # @param seed [Integer]
        # @param conventions [Conventions]
        # @param day [Array<Hash>] the class's own
        # @return [LessonPlan]
        def self.of(settings, seed, conventions, day)
          again = settings.with(seed:, kept: pinned_only(settings), carried: [], swapped: [])
          other = LessonPlan.new(again.with(swapped: settings.kept.values.flatten), conventions, day)
          return LessonPlan.new(again, conventions, day) if missing(other) > missing(LessonPlan.new(settings, conventions, day))

          LessonPlan.new(other.settings.with(swapped: []), conventions, day)
        end

        def self.pinned_only(settings)
          settings.kept.to_h do |stage, times|
            [stage, times.map { |time| time if settings.pinned.fetch(stage, []).include?(time) }]
          end
        end
        private_class_method :pinned_only

        def self.missing(plan) = plan.lesson.stages.sum(&:missing)
        private_class_method :missing
      end
    end
  end
end
