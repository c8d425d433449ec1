# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # A lesson as the contract describes it.
      module LessonView
        ROW = %i[id class_id child_ids day check_id given_at left_out changed_at version].freeze
        SETTLED = %i[step task minutes seed method stage_minutes pinned swapped opening carried activities].freeze

        class << self
          # @param row [Hash] as kept
          # @return [Hash] what a list shows of it
          def summary(row) = { **row.slice(:id, :class_id, :child_ids, :day, :given_at), **row.plan.to_h.slice(:step, :task, :minutes) }

          # @param row [Hash] as kept
          # @param plan [Core::Teaching::LessonPlan]
          # @return [Hash]
          def lesson(row, plan)
            { **row.slice(*ROW), **plan.settings.to_h.slice(*SETTLED), stages: plan.lesson.stages.map { |stage| stage(stage, plan) },
              method_lines: Core::Reading::MethodCard.lines(plan.step, plan.conventions), exit_choice: exit_choice(plan),
              hinges: Core::Teaching::HingeQuestion.of(plan.lesson, plan.step).map { |question| hinge(question, plan.conventions) },
              needs: needs(plan.lesson) }
          end

          private

          def stage(stage, plan)
            kind = Core::Teaching::StageMinutes::STAGES.fetch(stage.id)
            { **stage.to_h.slice(:id, :name, :aim, :minutes, :missing, :activity, :choices), fresh: kind.fetch(:fresh, false),
              on_paper: kind.fetch(:on_paper, false), spare_seconds: stage.spare_seconds.round,
              left_out: stage.left_out.map(&:to_s), items: stage.items.map { |item| item(item, stage, plan) } }
          end

          def hinge(question, conventions)
            task = question.task
            { before: question.before, time: question.time.to_s, dial: question.time.dial_time.to_s, sees: task.sees,
              answer: task.write(task.right_answer(question.time), conventions),
              wrong: question.wrong.map { |wrong| { answer: task.write(wrong.answer, conventions), misreading: wrong.misreading.id } } }
          end

          # What is to be laid out before, each thing once.
          def needs(lesson) = lesson.stages.flat_map { |stage| Core::Teaching::Activities.needs(stage.activity) }.uniq

          def item(item, stage, plan)
            about = { kind: item.kind, seconds: item.seconds.round }
            return about unless item.time

            text = item.time.to_s
            { **about, time: text, dial: item.time.dial_time.to_s, sees: item.task.sees, task: item.task.id, prompt: prompt(item, plan),
              answer: item.task.write(item.task.right_answer(item.time), plan.conventions), from_step: from_step(item, plan),
              pinned: plan.settings.pinned.fetch(stage.id, []).include?(text) }
          end

          # What is said of a time of the day before its half is asked for.
          def prompt(item, plan)
            item.time.is_a?(Core::Dial::DayTime) ? Core::Wording::DayFacts.of(item.time, plan.conventions)[:words] : ""
          end

          # The step that the time is of, where it is not the lesson's.
          def from_step(item, plan)
            return "" if plan.step.pool.include?(item.time.dial_time)

            Core::Curriculum::Step.holding([item.time], item.task)&.name.to_s
          end

          def exit_choice(plan)
            times = plan.lesson.exit.filter_map(&:time) & plan.step.pool_for(plan.task)
            Views::CheckView.choice(Core::Choosing::Choice.new(Core::Choosing::Discrimination.for(plan.step, plan.task), times))
          end
        end
      end
    end
  end
end
