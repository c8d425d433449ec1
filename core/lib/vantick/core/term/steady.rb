# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # A plan made anew that changes no more than answers ask for: teachers prepare what stands in it.
      class Steady
        CLEAR = NUMBERS[:plan][:clear]
        NEXT = NUMBERS[:plan][:next]
        CHANGED = NUMBERS[:plan][:changed].freeze

        # @param old [Array<Planned>] lessons to come as they stand, oldest first
        # @param planner [#call] makes a {Planner} of what is settled by day
        # @param settled [Hash{Integer => Planner::Settled}] what a teacher put so
        def initialize(old, planner, settled)
          @old = old.to_h { |lesson| [lesson.day, lesson] }
          @planner = planner
          @settled = settled
        end

        # @return [Array<Planned>]
        def plan
          fresh = @planner.call(@settled)
          return fresh.plan unless fresh.plan.map(&:day) == @old.keys

          CHANGED.each do |count|
            found = @planner.call(mixed(fresh.plan, count))
            return unsettled(found.plan) if as_good?(found, fresh)
          end
          fresh.plan
        end

        private

        # In the end, and in the lesson that is next: nobody waits for the end to leave what most know.
        def as_good?(found, fresh)
          next_ones = [found, fresh].map { |planner| planner.plan.find(&:taught?)&.step }
          return false if next_ones.uniq.length > 1 && next_ones.all? && found.gain(next_ones.first) < NEXT * fresh.gain(next_ones.last)

          found.worth >= fresh.worth - CLEAR
        end

        # The old plan but for the first lessons in which the new one differs.
        def mixed(fresh, count)
          changed = fresh.reject { |lesson| lesson.step == @old[lesson.day].step }.first(count).map(&:day)
          fresh.to_h do |lesson|
            from = changed.include?(lesson.day) ? lesson : @old[lesson.day]
            [lesson.day, Planner::Settled.new(step: from.step, kind: (from.kind unless from.taught?), how: from.settled)]
          end
        end

        # What was only kept is not settled by a teacher.
        def unsettled(plan)
          plan.map { |lesson| Planned.new(**lesson.to_h, settled: @settled[lesson.day]&.how).freeze }
        end
      end
    end
  end
end
