# frozen_string_literal: true

require_relative "../term/planned_term"

module Bench
  # A plan made anew before each lesson, after the check of the last; a lesson that stays open takes what has most to gain.
  PLANNED = lambda do |term|
    lesson = term.planner(upto: term.day).plan.first
    lesson.step || Teaching::SchemeOfWork.new(term.expected, term.lessons, ladder: term.aim.ladder).next_step.step || term.aim.step
  end
  # The same, but that a plan stands until another is clearly better.
  STEADY = lambda do |term|
    term.steady_lesson.step || Teaching::SchemeOfWork.new(term.expected, term.lessons,
                                                          ladder: term.aim.ladder).next_step.step || term.aim.step
  end
  # Lessons of two weeks.
  SOON = 6
  # Made in August: two or three lessons a step up to the aim, and then over them again; a lesson that falls out is given later.
  FIXED = lambda do |term|
    plan = term.aim.ladder.flat_map { |step| [step] * PLAIN.fetch(step.id, 2) }
    plan[term.lessons.length] || term.aim.ladder[(term.lessons.length * 5) % term.aim.ladder.length]
  end

  # How good a term's plan and its forecast are, with classes of made-up children of another make than the planner assumes.
  class TermPlans < Family
    def planned_terms(seed, teacher, recap: :chosen)
      (@planned_terms ||= {})[[seed, teacher, recap]] ||= planned_makes(seed).to_h do |make|
        [make, PlannedTerm.new(make[0], make[1], teacher, lost: make[2], recap:).run]
      end
    end

    def planned_makes(seed)
      seeds = (1..Sizes[:planned_seeds]).map { |more| (seed * 100) + more }
      KINDS.product(seeds).map { |kind, one| [kind, one, one.even?] }
    end

    # The same lessons once more, with another recap.
    def with_recap(seed, teacher, recap)
      planned_terms(seed, teacher).map do |make, term|
        steps = term.lessons.map(&:step)
        PlannedTerm.new(make[0], make[1], ->(other) { steps[other.lessons.length] }, lost: make[2], recap:).run
      end
    end

    # @param after [Integer] days after the last lesson
    def kept_by_recap(seed, teacher, without, after: 0)
      both = [planned_terms(seed, teacher).values, with_recap(seed, teacher, without)]
      both.map { |terms| mean(terms.map { |term| term.kept(after) }) }.reduce(:/)
    end

    measure(:plan_against_fixed, "share known of the aim on its day, as planned over a fixed scheme with the same recap",
            "at least 1.02") do |seed|
      planned = planned_terms(seed, PLANNED)
      fixed = planned_terms(seed, FIXED)
      details = KINDS.to_h do |kind|
        own = planned.keys.select { |make| make.first == kind }
        [kind.to_s, mean(own.map { |make| planned[make].aim_known }) / mean(own.map { |make| fixed[make].aim_known })]
      end
      Taken.new(mean(planned.values.map(&:aim_known)) / mean(fixed.values.map(&:aim_known)), details)
    end

    # Lessons of the fixed scheme, as the planned ones go back to what is being lost by themselves.
    measure(:kept_at_end, "share of what was ever known that is known at the end, over the same lessons without chosen recap",
            "at least 1.15") do |seed|
      Taken.new(kept_by_recap(seed, FIXED, :none),
                { "over a recap of all that the step rests on" => kept_by_recap(seed, FIXED, :all),
                  "three weeks after the last lesson" => kept_by_recap(seed, FIXED, :none, after: 21),
                  "in the planned lessons" => kept_by_recap(seed, PLANNED, :none),
                  "three weeks after the planned lessons" => kept_by_recap(seed, PLANNED, :none, after: 21) })
    end

    def starts(term)
      term.progress_by_pupil.values.map { |progress| Vantick::Core::Teaching::Start.of(progress, term.aim.kinds) }
    end

    def told_at(term)
      learning = Vantick::Core::Teaching::Learning.of(term.answers, term.lessons, term.progress_by_pupil.transform_values(&:before))
      how = Vantick::Core::Term::Assumptions.new(learning:)
      Vantick::Core::Term::Forecast.new(starts(term), lessons: term.planner.plan, goal: term.goal, today: term.day, how:).result
    end

    def forecasts(seed)
      planned_makes(seed).map do |kind, own, lost|
        told = nil
        term = PlannedTerm.new(kind, own, PLANNED, lost:)
        term.run { |so_far| told ||= told_at(so_far) if so_far.lessons.length == Sizes[:forecast_lesson] }
        [told.aim, term.children_knowing, kind]
      end
    end

    def held(found) = share(found) { |band, truth| truth.between?(band.low, band.high) }

    def miss(found) = mean(found.map { |band, truth, _| band.likely - truth })

    measure(:forecast_honest, "terms whose end lies within the band of four in five told at week 4", "0.7 to 0.9") do |seed|
      found = forecasts(seed)
      by_kind = found.group_by(&:last)
      Taken.new(held(found),
                { "below it" => share(found) { |band, truth| truth < band.low },
                  "above it" => share(found) { |band, truth| truth > band.high },
                  "breadth of the band, children" => mean(found.map { |band, _| band.high - band.low }),
                  "told more than came, children" => miss(found),
                  **by_kind.transform_keys { |kind| "held, #{kind}" }.transform_values { |some| held(some) },
                  **by_kind.transform_keys { |kind| "told more, #{kind}" }.transform_values { |some| miss(some) } })
    end

    # One term of each kind of class, as plans of it take long.
    def steady_terms(seed)
      KINDS.to_h { |kind| [kind, PlannedTerm.new(kind, (seed * 100) + 1, STEADY, lost: false).run] }
    end

    # Of the lessons of the two weeks to come, those that the plan made next has otherwise.
    def changed(plans)
      plans.each_cons(2).map do |old, new|
        soon = new.first(SOON)
        before = old.to_h { |lesson| [lesson.day, lesson.step] }
        soon.count { |lesson| before[lesson.day] != lesson.step } / [soon.length, 1].max.to_f
      end
    end

    # Changes of a day's step that another plan takes back soon after.
    def turned_back(plans)
      steps = plans.map { |plan| plan.to_h { |lesson| [lesson.day, lesson.step] } }
      turns = steps.each_cons(2).with_index.flat_map do |(old, new), at|
        days = (new.keys & old.keys).reject { |day| old[day] == new[day] }
        days.map { |day| back?(old[day], day, steps[(at + 2)..(at + 5)].to_a) }
      end
      turns.empty? ? 0.0 : share(turns, &:itself)
    end

    def back?(step, day, plans) = plans.any? { |plan| plan.key?(day) && plan[day] == step }

    measure(:plan_steady, "lessons of the next two weeks that a plan made anew has otherwise", "at most 0.25") do |seed|
      terms = steady_terms(seed)
      plain = KINDS.map { |kind| PlannedTerm.new(kind, (seed * 100) + 1, PLANNED, lost: false).run }
      all = terms.values.flat_map { |term| changed(term.plans) }
      Taken.new(mean(all), { "worst kind of class" => terms.values.map { |term| mean(changed(term.plans)) }.max,
                             "plans that change nothing of these weeks" => share(all, &:zero?),
                             "turned back within four lessons (under 0.03)" => mean(terms.values.map { |term| turned_back(term.plans) }),
                             "known of the aim over plans without rest" => mean(terms.values.map(&:aim_known)) /
                                                                                   mean(plain.map(&:aim_known)) })
    end

    # A school year of three lessons a week, planned for a class that stands in its fifth week.
    YEAR = { lessons: 110, weekdays: { monday: 45, wednesday: 45, friday: 30 } }.freeze

    def year_ahead(seed)
      term = PlannedTerm.new(:usual, seed, PLANNED, lost: false)
      term.run { |so_far| break if so_far.lessons.length == Sizes[:forecast_lesson] }
      slots = Vantick::Core::Term::Days.lessons(first: term.day, last: term.day + 300, weekdays: YEAR[:weekdays]).first(YEAR[:lessons])
      planner = lambda do
        past = Vantick::Core::Term::Past.new(from: term.day, lessons: term.lessons)
        Vantick::Core::Term::Planner.new(expected: term.expected, slots:, goal: goal_of(term, slots), past:).plan
      end
      [term, planner, goal_of(term, slots)]
    end

    def goal_of(term, slots) = Vantick::Core::Term::Goal.new(aim: term.aim, day: slots.last.day)

    def forecast_of(term, plan, goal)
      Vantick::Core::Term::Forecast.new(starts(term), lessons: plan, goal:, today: term.day)
    end

    measure(:plan_time, "seconds to plan a year and forecast it, over 300 bare runs of the same simulation", "at most 2") do |seed|
      term, planner, goal = year_ahead(seed)
      plan = planner.call
      forecast = forecast_of(term, plan, goal)
      bare = quickest(2) { forecast.counts }
      planned = quickest(2) { planner.call }
      whole = quickest(2) { forecast.result }
      Taken.new((planned + whole) / bare, { "planning alone" => planned / bare,
                                             "seconds of planning" => planned, "seconds of the forecast" => whole })
    end
  end
end
