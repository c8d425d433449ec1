# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # A term's lessons to come, how likely they reach the aim, and what would help most.
      class Outlook
        # Lessons at desks, for what would help: so many a week (ten minutes twice).
        DESK_DAYS = 2
        WEEK = 7

        # What would help.
        # @!attribute id [Symbol] `:more_lessons`, `:desks`, `:order` or `:without`
        # @!attribute step [Teaching::Step, nil] to leave out, or to begin with
        # @!attribute weekday [Symbol, nil] of the lesson more
        # @!attribute told [Forecast::Point] on the aim's day
        # @!attribute more [Integer] children more than without it
        Help = Struct.new(:id, :step, :weekday, :told, :more, keyword_init: true)
        FORECAST = NUMBERS[:forecast]

        # @param standing [Teaching::ClassStanding]
        # @param today [Integer]
        # @param from [Integer] the first day to plan
        # @param days [Hash] what {Days.lessons} takes
        # @param aim [Aim]
        # @param aim_day [Integer]
        # @param settled [Hash{Integer => Planner::Settled}]
        # @param lost [Integer]
        # @param unchecked [Integer] lessons since the last check
        def initialize(standing, today:, from:, days:, aim:, aim_day:, settled: {}, lost: 0, unchecked: Planner::ROW[:check_apart])
          @standing = standing
          @today = today
          @from = from
          @days = days
          @aim = aim
          @aim_day = aim_day
          @settled = settled
          @lost = lost
          @unchecked = unchecked
        end

        # @param without [Array<Teaching::Step>]
        # @return [Array<Planned>]
        def plan(without: [], days: @days) = planner(without:, days:).plan

        # @param old [Array<Planned>] lessons to come as they stand
        # @return [Array<Planned>] these, unless others are clearly worth more: then as few of them changed as that takes
        def steady(old) = Steady.new(old, ->(settled) { planner(settled:) }, @settled).plan

        # @param lessons [Array<Planned>]
        # @return [Forecast::Told]
        def forecast(lessons, desks: [], aim: @aim)
          Forecast.new(@standing.starts(aim.kinds), lessons:, aim:, today: @today, aim_day: @aim_day,
                                                      learning: @standing.learning, away: @standing.away, desks:).told
        end

        # @yieldparam done [Integer] how many were worked out: each takes a forecast of its own
        # @yieldparam all [Integer] of so many
        # @return [Array<Help>] what would help, the most first; nothing that makes no difference
        def helps
          ways = [-> { more_lessons }, -> { at_desks }, -> { other_order }, *spare.map { |step| -> { left_out(step) } }]
          found = ways.each.with_index(1).filter_map do |way, done|
            way.call.tap { yield done, ways.length if block_given? }
          end
          helping(found)
        end

        # @return [Boolean] whether too few of the class were asked anything yet
        def too_early?
          all = @standing.expected.values
          all.count(&:asked?) < FORECAST[:asked] * all.length
        end

        # @param lessons [Array<Planned>]
        # @param told [Forecast::Told] of the goal
        # @return [Array(Teaching::Step, Forecast::Point), nil] the highest step below the goal that most will know on its day, where
        #   few will know the goal
        def within_reach(lessons, told)
          return if told.aim.likely >= FORECAST[:half] * told.children

          below = (@aim.ladder - [@aim.step]).reverse.select(&:whole?)
          below.lazy.map { |step| [step, forecast(lessons, aim: Aim.new(step.id)).aim] }
               .find { |_, point| point.likely >= FORECAST[:most] * told.children }
        end

        private

        def helping(found)
          plain = forecast(plan).aim.likely
          found.each { |help| help.more = help.told.likely - plain }
          found.select { |help| help.more.positive? }.sort_by { |help| -help.more }
        end

        def planner(without: [], days: @days, settled: @settled, order: @standing.order)
          Planner.new(expected: @standing.expected, lessons: @standing.lessons, slots: Days.lessons(**days), from: @from, aim: @aim,
                      aim_day: @aim_day, settled:, lost: @lost, without:, unchecked: @unchecked, order:)
        end

        # On the first weekday that has none, as long as the others.
        def more_lessons
          weekdays = @days[:weekdays]
          weekday = (Days::WEEK[1..5] - weekdays.keys).first or return
          days = { **@days, weekdays: { **weekdays, weekday => weekdays.values.max } }
          Help.new(id: :more_lessons, weekday:, told: forecast(plan(days:)).aim)
        end

        def at_desks
          sittings = (@from..@aim_day).select { |day| ((day - @from) % WEEK) < DESK_DAYS }
          Help.new(id: :desks, told: forecast(plan, desks: sittings).aim)
        end

        # Where both orders are still to come.
        def other_order
          order = @standing.order.other
          first = order.of(@aim.ladder).first
          return if first == plan.find(&:taught?)&.step || !plan.filter_map(&:step).include?(first)

          Help.new(id: :order, step: first, told: forecast(planner(order:).plan).aim)
        end

        # Steps that the aim does not ask for itself, as far as lessons are planned for them.
        def spare
          asked = @aim.shares.keys
          planned = plan.filter_map(&:step).uniq
          planned.select { |step| step != @aim.step && !Teaching::KindsOfTime.of_step(step).intersect?(asked) }
        end

        def left_out(step) = Help.new(id: :without, step:, told: forecast(plan(without: [step])).aim)
      end
    end
  end
end
