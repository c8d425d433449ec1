# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The ladder as a class stands on it, as the API shows it.
      module LadderView
        class << self
          # @param standing [Core::Teaching::ClassStanding]
          def ladder(standing)
            { steps: Core::Teaching::Step.with_times.map { |step| step(step, standing) }, next: following(standing),
              baseline: { why: standing.offered.why, child_ids: standing.offered.children },
              children: standing.by_child.map do |id, one|
                { child_id: id, next_step: standing.next_for(id)&.id, stumbles: one.stumbles.map(&:id),
                  newly_secure: standing.newly_secure(id).map(&:id),
                  review_due: one.review_due.map(&:id), states: one.states.transform_keys(&:id) }
              end }
          end

          private

          def step(step, standing)
            stumbling = standing.by_child.values.count { |one| one.stumbles.include?(step) }
            mistake = standing.mistaken_on(step)
            { id: step.id, **standing.counts(step), stumbling:,
              mistake: mistake&.id, mistaken: mistake ? standing.likely(mistake).length : 0,
              review_due: standing.review_due(step).length, last_asked: standing.last_day(step)&.then { |day| Date.jd(day).iso8601 } }
          end

          # What is next, and all that the reason speaks of.
          def following(standing)
            found = standing.next_step
            step = found.step
            misreading = step && standing.misreading_on(step)
            { step: step&.id, reason: found.reason, child_ids: found.children, lesson: found.lesson, days: found.days,
              not_yet: step ? standing.counts(step)[:not_yet] : 0, misreading: misreading&.id,
              misread: misreading ? standing.likely(misreading) : [],
              stumbling: step ? standing.by_child.select { |_, one| one.stumbles.include?(step) }.keys : [] }
          end
        end
      end
    end
  end
end
