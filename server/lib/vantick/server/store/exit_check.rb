# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # The check with the times of a lesson's exit.
      module ExitCheck
        class << self
          # @param store [Store::Database]
          # @param row [Hash] the lesson as kept
          # @param plan [Core::Teaching::LessonPlan]
          # @param made_at [String]
          # @param on_paper [Boolean] slips draw dials alone; a device asks whatever the lesson is about
          # @return [Integer] the check's id
          # @raise [Core::Error]
          def make(store, row, plan, made_at, on_paper: true)
            paper(plan.task) if on_paper
            times = times(plan)
            items = times.map { |time| { time: time.to_s, step: step_of(time, plan), task: nil } }
            check = store.checks.add(class_id: row.class_id, step: plan.step.id.to_s, task: plan.task.id.to_s, items:, made_at:)
            store.lessons.change(row.id, check_id: check.id)
            check.id
          end

          # @param time [DialTime, DayTime] of the lesson
          # @return [String, nil] its own step, where a neighbour is asked
          def step_of(time, plan)
            return if plan.step.pool_for(plan.task).include?(time)

            Core::Curriculum::Step.holding([time], plan.task)&.id&.to_s
          end

          private

          def unfit(message, field) = raise(Core::Error.new(message, field:))

          def paper(task)
            return if Core::Tasks::Task.with_dial.include?(task)

            unfit("#{task.name} can't go on slips. Use devices, or choose another task for the lesson.", :task)
          end

          def times(plan)
            times = plan.lesson.exit.filter_map(&:time).first(Core::Choosing::Chooser::IN_A_CHECK)
            times.empty? ? unfit("This lesson has no exit check. Give it more minutes.", :stage_minutes) : times
          end
        end
      end
    end
  end
end
