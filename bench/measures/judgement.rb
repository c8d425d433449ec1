# frozen_string_literal: true

require_relative "term"
require_relative "../term/looks"

module Bench
  # How often what is said of a child is true of the made-up children, in terms taught as proposed.
  class Judgements < Family
    include Looks

    def next_fits(seed)
      all = looks(seed).map { |look| [look, Curriculum::Step.with_times.select { |step| fits?(look, step) }] }
      share(all.reject { |_, fitting| fitting.empty? }) { |look, fitting| fitting.include?(look.progress.next_step(limit: look.limit)) }
    end

    def fits?(look, step) = !look.knows?(step) && step.foundations.select { |below| below.pool.any? }.all? { |below| look.knows?(below) }

    def likely_right(seed)
      told = looks(seed).flat_map { |look| look.progress.diagnosis.likely.map { |one| look.pupil.misreadings.include?(one) } }
      share(told, &:itself)
    end

    def settle_useless(seed)
      told = looks(seed).first(Sizes[:looked_at]).filter_map { |look| Judging::ItemSelection.advice(look.progress.diagnosis, look.limit) }
      share(told) { |advice| advice.bits < 0.05 }
    end

    def states(seed) = looks(seed).flat_map { |look| look.progress.states.map { |step, state| [look, step, state] } }

    def whole_secure_part_not(seed)
      wholes = states(seed).select { |_, step, state| state == :secure && step.parts.any? }
      share(wholes) { |look, step, _| step.parts.any? { |part| look.progress.states[part] != :secure } }
    end

    def secure_wrong(seed)
      share(states(seed).select do |_, _, state|
        state == :secure
      end) { |look, step, _| look.pupil.knows(step, nil) < 0.5 }
    end

    measure(:next_fits, "children whose next step is one not known yet whose foundations are, of those who have one", ">= 0.60") do |seed|
      next_fits(seed)
    end
    measure(:likely_right, "likely misreadings that the child has", ">= 0.70") do |seed|
      Taken.new(likely_right(seed),
                { "right answers until one that has gone is cleared, median (at most 8)" => Telling.instance.cleared_after(seed) })
    end
    measure(:settle_useless, "advice under 0.05 bit", "<= 0.05") { |seed| settle_useless(seed) }
    measure(:whole_secure_part_not, "wholes that are secure with a part that is not", "<= 0.02") { |seed| whole_secure_part_not(seed) }
    measure(:secure_wrong, "secure, and not known", "<= 0.04") { |seed| secure_wrong(seed) }
  end
end
