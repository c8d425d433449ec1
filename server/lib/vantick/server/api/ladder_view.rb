# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # Where a class stands, as the contract describes it.
      module LadderView
        # @param standing [Core::ClassStanding]
        # @return [Hash]
        def self.ladder(standing)
          following = standing.next_step
          { steps: Core::Step.with_times.map { |step| step(step, standing) },
            next: { step: following.step&.id, reason: following.reason, child_ids: following.children },
            children: standing.by_child.map do |id, one|
              { child_id: id, next_step: one.next_step&.id, stumbles: one.stumbles.map(&:id), states: one.states.transform_keys(&:id) }
            end }
        end

        def self.step(step, standing)
          children = standing.by_child.values
          { id: step.id, **standing.counts(step), stumbling: children.count { |one| one.stumbles.include?(step) },
            fading: children.count { |one| one.fading.include?(step) } }
        end
        private_class_method :step
      end
    end
  end
end
