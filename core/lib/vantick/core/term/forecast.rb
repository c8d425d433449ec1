# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # How likely a plan holds: children are played forward through its lessons many times, and counted on the aim's day. Nothing is said
      # of one child.
      class Forecast
        ROW = NUMBERS[:forecast].freeze
        # How children learn is what is known of it everywhere.
        LEARN = Knowing::Expected::LEARN

        # @!attribute day [Integer]
        # @!attribute low [Integer] children; four in five runs lie between it and `high`
        # @!attribute likely [Integer] the middle one
        # @!attribute high [Integer]
        Point = Struct.new(:day, :low, :likely, :high, keyword_init: true)
        # @!attribute children [Integer] of the class
        # @!attribute points [Array<Point>] over the weeks; the last is the aim's day
        Result = Struct.new(:children, :points, keyword_init: true) do
          # @return [Point] on the aim's day
          def aim = points.last
        end

        # @param starts [Array<Teaching::Start>] a child each
        # @param lessons [Array<Planned>]
        # @param goal [Goal]
        # @param today [Integer]
        # @param how [Assumptions]
        def initialize(starts, lessons:, goal:, today:, how: Assumptions.new)
          @starts = starts
          @kinds = goal.aim.kinds
          @shares = goal.aim.shares.map { |kind, share| [@kinds.index(kind), share] }
          @today = today
          @how = how
          @points = points(lessons, goal.day)
          @events = events(lessons.select(&:taught?), goal.day)
        end

        # @return [Result]
        def result
          found = counts.transpose.map(&:sort)
          Result.new(children: @starts.length, points: @points.zip(found).map { |day, sorted| point(day, sorted) }).freeze
        end

        # @return [Array<Array<Integer>>] for each run, how many children know the aim each time it is looked
        def counts
          random = Random.new(@how.seed)
          Array.new(@how.runs) { SimulationRun.new(random, @how.learning, @how.away).counts(@starts, @events, @shares, @today) }
        end

        private

        # At most so many days, spread over the lessons, and the aim's day.
        def points(lessons, aim_day)
          days = [@today, *lessons.map(&:day).select { |day| day > @today && day < aim_day }]
          apart = (days.length / ROW[:points].to_f).ceil
          [*days.each_slice(apart).map(&:first), [aim_day, @today].max].uniq
        end

        def events(lessons, aim_day)
          given = lessons.select { |lesson| lesson.day <= aim_day }.map { |lesson| lesson_event(lesson) }
          sittings = @how.desks.select { |day| day <= aim_day }.map { |day| Event.new(day:, order: 1, taught: [], recap: [], desk: order) }
          looks = @points.map { |day| Event.new(day:, order: 2) }
          (given + sittings + looks).sort_by { |event| [event.day, event.order] }
        end

        # What happens on a day: what is taught (place of a kind, its share of the chance, places of what it rests on), what is gone over,
        # what can be practised at a desk; nothing of these where it is looked.
        Event = Struct.new(:day, :order, :taught, :recap, :desk, keyword_init: true)
        private_constant :Event

        def lesson_event(lesson)
          kinds = lesson.recap.flat_map { |step| Curriculum::KnowledgeComponents.of_step(step) }.uniq
          recap = kinds.filter_map { |kind| @kinds.index(kind) }
          Event.new(day: lesson.day, order: 0, taught: lesson.kind == :short ? [] : taught(lesson.step), recap:)
        end

        # As {Knowing::Following#taught}: what a lesson on a step exercises first, then its own kinds.
        def taught(step)
          all = Curriculum::KnowledgeComponents.of_step(step)
          kinds = all & @kinds
          share = all.length**-LEARN[:shared]
          beneath = kinds.flat_map { |kind| Curriculum::KnowledgeComponents.exercised(kind) }.uniq & (@kinds - kinds)
          [*beneath.map { |kind| [kind, share * LEARN[:exercised]] }, *kinds.map { |kind| [kind, share] }].map do |kind, part|
            [@kinds.index(kind), part, below(kind)]
          end
        end

        def order = @order ||= @kinds.map { |kind| [@kinds.index(kind), 1.0, below(kind)] }

        def below(kind) = Curriculum::KnowledgeComponents.below(kind).filter_map { |lower| @kinds.index(lower) }

        # As much to each side as what is assumed of all classes was wrong by.
        def point(day, sorted)
          missed = missed(day)
          low, high = shortest(sorted)
          low, high = [low - missed, high + missed].map { |count| count.clamp(0, @starts.length) }
          Point.new(day:, low:, likely: sorted[sorted.length / 2], high:).freeze
        end

        # The shortest band that holds enough of the runs.
        def shortest(sorted)
          held = (sorted.length * ROW[:band]).ceil
          first = (0..(sorted.length - held)).min_by { |at| sorted[at + held - 1] - sorted[at] }
          sorted.values_at(first, first + held - 1)
        end

        def missed(day) = (ROW[:missed] * @starts.length * [(day - @today) / ROW[:missed_days].to_f, 1].min).round
      end
    end
  end
end
