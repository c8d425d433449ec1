# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # A lesson's plan for another day: pinned times stand where they stood, all others are chosen anew, and are
      # other ones where the step has enough.
      module Copy
        # @param settled [Hash] a plan with its times
        # @param seed [Integer]
        # @param conventions [Core::Conventions]
        # @param day [Array<Hash>] the class's own
        # @return [Plan]
        def self.of(settled, seed, conventions, day)
          again = { **settled, seed:, kept: pinned_only(settled), carried: [], swapped: [] }
          other = Plan.new({ **again, swapped: settled[:kept].values.flatten }, conventions, day)
          return Plan.new(again, conventions, day) if missing(other) > missing(Plan.new(settled, conventions, day))

          Plan.new({ **other.settled, swapped: [] }, conventions, day)
        end

        def self.pinned_only(settled)
          settled[:kept].to_h do |stage, times|
            [stage, times.map { |time| time if settled[:pinned].fetch(stage, []).include?(time) }]
          end
        end
        private_class_method :pinned_only

        def self.missing(plan) = plan.lesson.stages.sum(&:missing)
        private_class_method :missing
      end
    end
  end
end
