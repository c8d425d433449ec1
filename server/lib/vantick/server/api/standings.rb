# frozen_string_literal: true

module Vantick
  module Server
    module Api
      # The answers of a class as kept, as where it stands.
      module Standings
        # @param children [Array<Hash>]
        # @param answers [Array<Hash>] those that stand, oldest first, each with its `step`, `task` and `time`
        # @param conventions [Core::Conventions]
        # @param today [Integer] a Julian day
        # @return [Core::ClassStanding]
        def self.of(children, answers, conventions, today:)
          by_child = answers.group_by { |answer| answer[:child_id] }
          Core::ClassStanding.new(children.to_h do |child|
            asked = by_child.fetch(child[:id], []).map { |answer| asked(answer, conventions) }
            [child[:id], Core::Standing.new(asked, today:)]
          end)
        end

        # @return [Core::Standing::Asked]
        def self.asked(answer, conventions)
          day = SchoolDay.jd(answer[:answered_at])
          Core::Standing::Asked.new(step: Core::Step.find(answer[:step]), marked: Marks.asked(answer, conventions), day:)
        end
      end
    end
  end
end
