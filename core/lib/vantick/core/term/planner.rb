# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # The lessons of a term to come: what is next for the class, played forward on what is expected to be known. What the aim rests on
      # comes first; what lies above it comes before the aim's day where a lesson gives much more there than on the aim.
      class Planner
        ROW = NUMBERS[:plan].freeze
        # What a teacher settled of a day.
        # @!attribute step [Teaching::Step, nil]
        # @!attribute kind [Symbol, nil] `:skipped` or `:open`, for a day without a step
        # @!attribute how [Symbol, nil] one of {Planned::SETTLED}
        Settled = Struct.new(:step, :kind, :how, keyword_init: true)

        # @param expected [Hash{Object => Knowing::Expected}] by child
        # @param lessons [Array<Teaching::Course::Given>] there were, oldest first
        # @param slots [Array<Days::Slot>] of the whole term
        # @param from [Integer] the first day to plan; earlier slots are over
        # @param aim [Aim]
        # @param aim_day [Integer]
        # @param settled [Hash{Integer => Settled}] by day
        # @param lost [Integer] lessons that were planned and not given
        # @param without [Array<Teaching::Step>] steps to leave out
        def initialize(expected:, lessons:, slots:, from:, aim:, aim_day:, settled: {}, lost: 0, without: [])
          @expected = expected
          @lessons = lessons.dup
          @slots = slots
          @from = from
          @aim = aim
          @aim_day = aim_day
          @settled = settled
          @open = open_days(lost + settled.count { |day, one| day >= from && one.kind == :skipped })
          @ladders = [aim.ladder - without, Teaching::Step.with_times - without]
        end

        # @param past [Array<Planned>] lessons that are over
        # @return [Integer] how many fell out and were not made up for yet by a lesson that would have stayed empty
        def self.lost(past)
          spared = past.each_slice(ROW[:empty_every]).count { |lessons| lessons.length == ROW[:empty_every] && lessons.last.kind != :open }
          [past.count { |lesson| lesson.kind == :skipped } - spared, 0].max
        end

        # @return [Array<Planned>] one for each slot from the first day to plan
        def plan
          @unchecked = ROW[:check_apart]
          @slots.select { |slot| slot.day >= @from }.map { |slot| planned(slot).freeze }
        end

        private

        # One lesson in so many; those that were lost are made up for in the next ones.
        def open_days(lost)
          every = @slots.each_slice(ROW[:empty_every]).filter_map { |slots| slots.last.day if slots.length == ROW[:empty_every] }
          every.select { |day| day >= @from }.drop(lost)
        end

        def planned(slot)
          settled = @settled[slot.day]
          return empty(slot, settled.kind, settled.how) if settled && settled.step.nil?
          return empty(slot, :open, nil) if settled.nil? && @open.include?(slot.day) && !long_ago?(slot.day)

          onward(slot.day)
          taught(slot, settled)
        end

        def empty(slot, kind, how) = Planned.new(**slot.to_h, kind:, recap: [], check: false, settled: how)

        def onward(day, **given) = @expected = @expected.transform_values { |one| one.onward(day, **given) }

        def taught(slot, settled)
          looking = long_ago?(slot.day)
          step, kind = settled ? [settled.step, kind_of(settled.step)] : chosen(slot.day, looking)
          recap = Teaching::Recap.steps(@expected, step, before: before)
          give(slot.day, step, recap)
          Planned.new(**slot.to_h, kind: looking ? :look_back : kind, step:, recap:, check: check?(step, looking), settled: settled&.how)
        end

        def long_ago?(day) = @lessons.any? && day - @lessons.last.day >= ROW[:gap_days]

        # @return [Array(Teaching::Step, Symbol)]
        def chosen(day, looking)
          course = course(day)
          shaky = looking ? Teaching::Recap.steps(@expected, nil, before:).first : nil
          step = shaky || course.next_step.step
          step ? [step, kind_of(step)] : [Teaching::Recap.steps(@expected, nil, before:).first || @aim.step, :recap]
        end

        def course(day)
          own, all = @ladders.map { |ladder| Teaching::Course.new(@expected, @lessons, ladder:) }
          return all if day > @aim_day
          return own unless own.gone_through?

          above = all.onward
          above && all.worth(above) > ROW[:beyond] * own.worth(own.next_step.step || @aim.step) ? all : own
        end

        def kind_of(step) = @lessons.any? { |lesson| lesson.step == step } ? :again : :new

        def before = @lessons.map(&:step).uniq

        def give(day, step, recap)
          onward(day, step:, recap:)
          @lessons << Teaching::Course::Given.new(step:, day:)
        end

        def check?(step, looking)
          share = @expected.empty? ? 0 : @expected.values.sum { |one| one.of_step(step) } / @expected.length
          due = looking || (@unchecked >= ROW[:check_apart] - 1 && share.between?(ROW[:check_from], ROW[:check_to]))
          @unchecked = due ? 0 : @unchecked + 1
          due
        end
      end
    end
  end
end
