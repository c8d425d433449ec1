# frozen_string_literal: true

require_relative "../term/term"

module Bench
  # Six seeds of each kind of class without desks, two with them: these take longer.
  TERM_SEEDS = { false => Sizes[:term_seeds], true => Sizes[:term_seeds_with_desks] }.freeze
  KINDS = Pupil::CLASSES.keys.first(Sizes[:class_kinds]).freeze
  # A plain scheme of two or three lessons a step; what is left over goes over the steps again.
  PLAIN = { half_past: 3, quarter_to: 3, fives_to: 3 }.freeze
  SCHEME = lambda do |term|
    ladder = Curriculum::Step.with_times
    plan = ladder.flat_map { |step| [step] * PLAIN.fetch(step.id, 2) }
    plan[term.lessons.length] || ladder[(term.lessons.length * 5) % ladder.length]
  end
  PROPOSED = ->(term) { Teaching::SchemeOfWork.new(term.expected, term.lessons).next_step(today: term.day).step }
  # What knows every child's truth, and takes the step with most to gain today.
  ORACLE = lambda do |term|
    Curriculum::Step.with_times.max_by do |step|
      kinds = Curriculum::KnowledgeComponents.of_step(step)
      term.pupils.sum { |pupil| kinds.sum { |kind| (1 - pupil.recall(kind, term.day)) * (0.3 + (0.7 * pupil.ready(kind, term.day))) } } *
        (kinds.length**-0.6)
    end
  end

  # How good what is proposed over a term is: with classes of made-up children of another make than the rules assume.
  class Terms < Family
    # Terms are long; each is gone through once for all measures.
    def terms(seed, teacher, desks: false, recap: :chosen)
      (@terms ||= {})[[seed, teacher, desks, recap]] ||= KINDS.product((1..TERM_SEEDS.fetch(desks)).to_a).map do |kind, more|
        Term.new(kind, (seed * 100) + more, teacher, desks:, recap:).run
      end
    end

    def at_end(terms) = terms.sum { |term| term.weeks.last } / terms.length

    def over_weeks(terms) = terms.sum { |term| term.weeks.sum / term.weeks.length } / terms.length

    def against_scheme(seed, oracle: false)
      ratios = [false, true].to_h do |desks|
        [desks, yield(terms(seed, PROPOSED, desks:)) / yield(terms(seed, SCHEME, desks:))]
      end
      details = { "without desks" => ratios[false], "with desks" => ratios[true] }
      details["an oracle without desks"] = yield(terms(seed, ORACLE)) / yield(terms(seed, SCHEME)) if oracle
      Taken.new(ratios.values.min, details)
    end

    measure(:term_known, "known at the end of a term as proposed over a plain scheme, the lesser of with and without desks",
            ">= 1.00") do |seed|
      against_scheme(seed, oracle: true) { |terms| at_end(terms) }
    end
    measure(:term_mean, "the same, averaged over the weeks", ">= 1.05") { |seed| against_scheme(seed) { |terms| over_weeks(terms) } }
    measure(:recap_worth, "known at the end with the recap chosen over one of all that a step rests on", ">= 1.05") do |seed|
      at_end(terms(seed, PROPOSED)) / at_end(terms(seed, PROPOSED, recap: :all))
    end
    measure(:term_longest, "most lessons running on one step", "<= 4") do |seed|
      [false, true].flat_map { |desks| terms(seed, PROPOSED, desks:).map(&:longest) }.max.to_f
    end
  end
end
