# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # A term and its plan as the contract describes them.
      module TermView
        TERM = Store::Terms::SETTINGS
        # What holds for one kind of change stands empty for the others.
        CHANGE = { step: nil, lessons: 0, children: 0, misreading: nil, day: nil, to: nil }.freeze

        class << self
          # @return [Hash] of a class that has no term
          def none = { term: nil, plan: nil, aim: nil, standards: Core::Term::Aim.standards }

          # @param planning [TermPlanning]
          # @param plan [Store::Rows::TermPlan]
          # @param store [Store::Database]
          # @param today [String]
          # @return [Hash]
          def term(planning, plan, store, today)
            row = planning.term
            aim = Core::Term::Aim.new(row.aim)
            { term: row.slice(*TERM), plan: plan(plan, store, row, today, planning), standards: Core::Term::Aim.standards,
              aim: { step: aim.step.id, day: row.aim_day } }
          end

          # @param result [Hash] see {TermPlanning#forecast}
          # @param before [Hash, nil] what was told of the plan before
          # @return [Hash]
          def forecast(result, before)
            { children: result[:children], points: result[:points], aim: result[:points].last, before: before && before[:points].last,
              early: result[:early] || false, score: result[:score], within_reach: result[:within_reach] }
          end

          # @param help [Core::Term::TermProjection::Intervention]
          def help(help)
            { id: help.id, step: help.step&.id, weekday: help.weekday, more: help.more, **help.outcome.to_h.slice(:low, :likely, :high) }
          end

          private

          def plan(plan, store, row, today, planning)
            lessons = store.lessons.all(row.class_id, limit: ClassCalendar::MOST).select { |lesson| lesson.child_ids.nil? }
            made = lessons.group_by(&:day)
            given = lessons.select(&:given_at).group_by { |lesson| Store::SchoolDay.date(lesson.given_at) }
            { **plan.slice(:id, :made_at, :cause), change: plan.change && { **CHANGE, **plan.change },
              can_put_back: !planning.before.nil?, today:,
              lessons: plan.lessons.map { |planned| lesson(planned, made, given, today) } }
          end

          def lesson(lesson, made, given, today)
            held = given.fetch(lesson[:day], []).first
            { task: nil, **lesson, settled: lesson[:settled], over: lesson[:day] < today, given: held&.plan&.step,
              lesson_id: (held || made.fetch(lesson[:day], []).first)&.id }
          end
        end
      end
    end
  end
end
