# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # How a check, a lesson and a desk are removed: what goes with them, and what is told of them while they are away.
      module Removing
        class << self
          # @param store [Database]
          # @param check [Rows::Check]
          # @param now [String]
          # @return [Rows::TrashItem]
          def check(store, check, now)
            about = { step: check.step, task: check.task, at: check.made_at, code: check.code, answers: submitted(store, check.id) }
            store.removed.put(:check, check, about, now)
          end

          # @return [Rows::TrashItem]
          def lesson(store, lesson, now)
            store.removed.put(:lesson, lesson, { step: lesson.plan.step, at: lesson.day, answers: 0 }, now)
          end

          # A desk whose times are its own takes them and their answers with it; where it was opened for a check, those stay.
          # @return [Rows::TrashItem]
          def desk(store, desk, now)
            own = desk.kind != "exit"
            about = { step: desk.step, at: desk.opened_at, desk: desk.kind, answers: own ? submitted(store, desk.check_id) : 0 }
            return store.removed.put(:desk, desk, about, now) unless own

            check = store.checks.find(desk.check_id)
            store.removed.put(:check, check, { **about, step: desk.step || (check.step if desk.kind == "stage") }, now, as: :desk)
          end

          private

          def submitted(store, check_id)
            store.answers.current([check_id]).fetch(check_id, []).count { |answer| answer.verdict != "blank" }
          end
        end
      end
    end
  end
end
