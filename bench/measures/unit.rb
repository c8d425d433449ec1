# frozen_string_literal: true

require_relative "../term/unit"

module Bench
  # Twelve lessons, as three teachers would lay them out who have seen nothing yet: from the beginning, quickly, and slowly.
  FIXED_UNITS = {
    "from the beginning" => %i[oclock hour_hand half_past half_past quarter_past quarter_to quarter_to fives_facts fives_past fives_past
                               fives_to fives],
    "quickly" => %i[half_past quarter_past quarter_to quarters fives_facts fives_past fives_to fives_to fives minutes_past minutes_to
                    minutes],
    "slowly" => %i[oclock hour_hand hour_hand half_past half_past half_past quarter_past quarter_past quarter_to quarter_to quarter_to
                   quarters]
  }.freeze
  UNIT_PLAN = lambda(&:planned)
  UNIT_PROPOSED = lambda { |unit|
    Teaching::SchemeOfWork.new(unit.expected, unit.lessons).next_step(today: unit.day).step || Curriculum::Step.hardest
  }

  # What a plan of few lessons gives to classes of every family, and what a term gives beyond its goal.
  class Units < Family
    def makes = Children::FAMILIES.keys.first(Sizes[:families]).product(Children::CLASSES.first(Sizes[:classes_of_children]))

    def fixed(steps) = (@fixed ||= {})[steps] ||= ->(unit) { Curriculum::Step.find(steps[unit.lessons.length]) }

    # @return [Hash{Array(Symbol, Symbol) => Float}] by family and kind of class
    def of_makes(seed, teacher, kinds: nil, **how)
      units(seed, teacher, how).transform_values { |unit| unit.known(kinds || unit.aim.kinds) }
    end

    # Gone through once, and looked at once for what is to be known of them.
    def units(seed, teacher, how)
      (@units ||= {})[[seed, teacher, how]] ||= makes.to_h { |make| [make, Unit.new(make, seed, teacher, **how).run] }
    end

    def by_family(known) = known.group_by { |(family, _), _| family }.transform_values { |some| mean(some.map(&:last)) }

    # Over the fixed plan that turns out best for that family: nobody can know which one that is.
    # @return [Hash{String => Float}] by family
    def over_best_fixed(seed, **what)
      own = by_family(of_makes(seed, UNIT_PLAN, **what))
      others = FIXED_UNITS.values.map { |steps| by_family(of_makes(seed, fixed(steps), **what)) }
      own.to_h { |family, known| [family.to_s, known / others.map { |other| other[family] }.max] }
    end

    # Over the mean of the three: as a teacher who takes one of them.
    def over_mean_fixed(seed)
      own = mean(of_makes(seed, UNIT_PLAN).values)
      own / mean(FIXED_UNITS.values.map { |steps| mean(of_makes(seed, fixed(steps)).values) })
    end

    measure(:unit_known, "known of the goal after twelve lessons as planned, over the best of three fixed plans, mean of families",
            ">= 1.05") do |seed|
      found = over_best_fixed(seed)
      ladder = over_best_fixed(seed, kinds: Curriculum::KnowledgeComponents.all)
      Taken.new(mean(found.values), { **found, "worst" => found.values.min, "of the whole ladder" => mean(ladder.values),
                                      "over the three fixed plans on average" => over_mean_fixed(seed) })
    end

    # The goal is low: what is known of the whole ladder at the end of the term.
    measure(:beyond_aim, "known of the ladder by a plan with an early goal over that by daily proposals, worst family", ">= 1.00") do |seed|
      how = { aim: :quarters, count: Sizes[:term_lessons], kinds: Curriculum::KnowledgeComponents.all }
      planned, proposed = [UNIT_PLAN, UNIT_PROPOSED].map { |teacher| of_makes(seed, teacher, **how) }
      found = by_family(planned).merge(by_family(proposed)) { |_, own, other| own / other }
      Taken.new(found.values.min, { "mean" => mean(found.values), **found.transform_keys(&:to_s) })
    end
  end
end
