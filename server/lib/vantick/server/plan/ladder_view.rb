# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The ladder as a class stands on it, as the API shows it.
      module LadderView
        class << self
          # @param progress [Core::Teaching::ClassProgress]
          def ladder(progress)
            { steps: Core::Curriculum::Step.with_times.map { |step| step(step, progress) }, next: following(progress),
              baseline: { why: progress.offered.why, child_ids: progress.offered.children },
              children: progress.by_child.map do |id, child|
                { child_id: id, next_step: progress.next_for(id)&.id, stumbles: child.stumbles.map(&:id),
                  newly_secure: progress.newly_secure(id).map(&:id),
                  review_due: child.review_due.map(&:id), states: child.states.transform_keys(&:id) }
              end }
          end

          private

          def step(step, progress)
            stumbling = progress.by_child.values.count { |child| child.stumbles.include?(step) }
            mistake = progress.mistaken_on(step)
            { id: step.id, **progress.counts(step), stumbling:,
              mistake: mistake&.id, mistaken: mistake ? progress.likely(mistake).length : 0,
              review_due: progress.review_due(step).length, last_asked: progress.last_day(step)&.then { |day| Date.jd(day).iso8601 } }
          end

          # What is next, and all that the reason speaks of.
          def following(progress)
            found = progress.next_step
            step = found.step
            misreading = step && progress.misreading_on(step)
            { step: step&.id, reason: found.reason, child_ids: found.children, lesson: found.lesson, days: found.days,
              not_yet: step ? progress.counts(step)[:not_yet] : 0, misreading: misreading&.id,
              misread: misreading ? progress.likely(misreading) : [],
              stumbling: step ? progress.by_child.select { |_, child| child.stumbles.include?(step) }.keys : [] }
          end
        end
      end
    end
  end
end
