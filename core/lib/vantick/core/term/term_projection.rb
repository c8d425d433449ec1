# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # A term's lessons to come, how likely they reach the aim, and what would help most.
      class TermProjection
        # Lessons at desks, for what would help: so many a week (ten minutes twice).
        DESK_DAYS = 2
        WEEK = 7

        # What would help.
        # @!attribute id [Symbol] `:more_lessons`, `:desks`, `:order` or `:without`
        # @!attribute step [Curriculum::Step, nil] to leave out, or to begin with
        # @!attribute weekday [Symbol, nil] of the lesson more
        # @!attribute outcome [Forecast::Point] on the aim's day
        # @!attribute more [Integer] children more than without it
        Intervention = Struct.new(:id, :step, :weekday, :outcome, :more, keyword_init: true)
        FORECAST = NUMBERS[:forecast]

        # @param progress [Teaching::ClassProgress]
        # @param days [Hash] what {Days.lessons} takes
        # @param goal [Goal]
        # @param past [Past] its lessons are the class's
        # @param settled [Hash{Integer => Planner::Settled}]
        def initialize(progress, days:, goal:, past:, settled: {})
          @progress = progress
          @days = days
          @goal = goal
          @past = past.after(progress.lessons)
          @settled = settled
        end

        # @param without [Array<Curriculum::Step>]
        # @param days [Array<Integer>] on which there are lessons
        # @return [Array<Planned>]
        def plan(without: [], days: @days) = planner(without:, days:).plan

        # @param old [Array<Planned>] lessons to come as they stand
        # @return [Array<Planned>] these, unless others are clearly worth more: then as few of them changed as that takes
        def steady(old) = Steady.new(old, ->(settled) { planner(settled:) }, @settled).plan

        # @param lessons [Array<Planned>]
        # @param desks [Array<Integer>] days on which children practise on devices
        # @param aim [Aim]
        # @return [Forecast::Result]
        def forecast(lessons, desks: [], aim: @goal.aim)
          how = Assumptions.new(learning: @progress.learning, away: @progress.away, desks:)
          Forecast.new(@progress.starts(aim.kinds), lessons:, goal: Goal.new(aim:, day: @goal.day), today: @progress.today, how:).result
        end

        # @yieldparam done [Integer] how many were worked out: each takes a forecast of its own
        # @yieldparam all [Integer] of so many
        # @return [Array<Intervention>] what would help, the most first; nothing that makes no difference
        def interventions
          ways = [-> { more_lessons }, -> { at_desks }, -> { other_order }, *spare.map { |step| -> { left_out(step) } }]
          found = ways.each.with_index(1).filter_map do |way, done|
            way.call.tap { yield done, ways.length if block_given? }
          end
          helping(found)
        end

        # @return [Boolean] whether too few of the class were asked anything yet
        def too_early?
          all = @progress.expected.values
          all.count(&:any_evidence?) < FORECAST[:asked] * all.length
        end

        # @param lessons [Array<Planned>]
        # @param forecast [Forecast::Result] of the goal
        # @return [Array(Curriculum::Step, Forecast::Point), nil] the highest step below the goal that most will know on its day, where
        #   few will know the goal
        def within_reach(lessons, forecast)
          return if forecast.aim.likely >= FORECAST[:half] * forecast.children

          below = (@goal.aim.ladder - [@goal.aim.step]).reverse.select(&:whole?)
          below.lazy.map { |step| [step, forecast(lessons, aim: Aim.new(step.id)).aim] }
               .find { |_, point| point.likely >= FORECAST[:most] * forecast.children }
        end

        private

        def helping(found)
          plain = forecast(plan).aim.likely
          found.each { |intervention| intervention.more = intervention.outcome.likely - plain }
          found.select { |intervention| intervention.more.positive? }.sort_by { |intervention| -intervention.more }
        end

        def planner(without: [], days: @days, settled: @settled, order: @progress.order)
          Planner.new(expected: @progress.expected, slots: Days.lessons(**days), goal: @goal, past: @past,
                      choices: Choices.new(settled:, without:, order:))
        end

        # On the first weekday that has none, as long as the others.
        def more_lessons
          weekdays = @days[:weekdays]
          weekday = (Days::WEEK[1..5] - weekdays.keys).first or return
          days = { **@days, weekdays: { **weekdays, weekday => weekdays.values.max } }
          Intervention.new(id: :more_lessons, weekday:, outcome: forecast(plan(days:)).aim)
        end

        def at_desks
          sittings = (@past.from..@goal.day).select { |day| ((day - @past.from) % WEEK) < DESK_DAYS }
          Intervention.new(id: :desks, outcome: forecast(plan, desks: sittings).aim)
        end

        # Where both orders are still to come.
        def other_order
          order = @progress.order.other
          first = order.of(@goal.aim.ladder).first
          return if first == plan.find(&:taught?)&.step || !plan.filter_map(&:step).include?(first)

          Intervention.new(id: :order, step: first, outcome: forecast(planner(order:).plan).aim)
        end

        # Steps that the aim does not ask for itself, as far as lessons are planned for them.
        def spare
          asked = @goal.aim.shares.keys
          planned = plan.filter_map(&:step).uniq
          planned.select { |step| step != @goal.aim.step && !Curriculum::KnowledgeComponents.of_step(step).intersect?(asked) }
        end

        def left_out(step) = Intervention.new(id: :without, step:, outcome: forecast(plan(without: [step])).aim)
      end
    end
  end
end
