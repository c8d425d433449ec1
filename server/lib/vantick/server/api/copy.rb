# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # A lesson's plan for another day: pinned times stand where they stood, all others are chosen anew.
      module Copy
        # @param settled [Hash] a plan with its times
        # @param seed [Integer]
        # @param conventions [Core::Conventions]
        # @return [Plan]
        def self.of(settled, seed, conventions)
          kept = settled[:kept].to_h do |stage, times|
            [stage, times.map { |time| time if settled[:pinned].fetch(stage, []).include?(time) }]
          end
          dropped = settled[:kept].values.flatten - kept.values.flatten
          again = { **settled, seed:, kept:, carried: [], swapped: dropped }
          { **Plan.new(again, conventions).settled, swapped: [] }.then { |plan| Plan.new(plan, conventions) }
        end
      end
    end
  end
end
