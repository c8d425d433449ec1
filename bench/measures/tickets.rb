# frozen_string_literal: true

module Bench
  TICKET = 6
  COUNTED = %i[wrong silent].freeze

  # What six times chosen are worth against six drawn blindly. A diagnosis is wrong when it says what is
  # not so: *secure* of a child with a misreading, or a misreading that the child does not have. *Not
  # enough to say* is no diagnosis; how often it is said stands beside.
  class Tickets < Family
    def ticket_error_ratio(seed)
      found = POOLS.to_h { |step, task| [[step, task], told(step, task, seed)] }
      wrong = ->(how) { found.values.sum { |told| told[how].count(:wrong) } }
      Taken.new(wrong[:chosen] / wrong[:random].to_f, found.flat_map { |pool, told| shares(pool, told) }.to_h)
    end

    def told(step, task, seed)
      random = Random.new(seed)
      tickets = Array.new(Sizes[:tickets]) { |at| Choosing::Chooser.choose(step:, task:, count: TICKET, seed: seed + at).times }
      blind = -> { step.pool_for(task).sample(TICKET, random:) }
      { chosen: ->(at) { tickets[at % tickets.length] }, random: ->(_) { blind.call } }.transform_values do |times|
        Array.new(Sizes[:ticket_children]) { |at| told_of(truths(step, task), at, task, times.call(at), seed) }
      end
    end

    def told_of(truths, at, task, times, seed)
      truth = truths[at % truths.length]
      child = Simulation::SimulatedChild.new(misreadings: truth, consistency: 0.85, careless: CARELESS,
                                             seed: (seed * Sizes[:ticket_children]) + at)
      judged(Knowing::Diagnosis.new(answered(child, task, times)), truth)
    end

    def judged(diagnosis, truth)
      case diagnosis.verdict
      when "secure" then truth.empty? ? :right : :wrong
      when "not enough to say" then :silent
      else (diagnosis.top.misreadings - truth).empty? ? :right : :wrong
      end
    end

    def shares((step, task), told)
      told.flat_map do |how, verdicts|
        COUNTED.map { |kind| ["#{step.id} #{task.id}, #{how}: #{kind}", verdicts.count(kind) / verdicts.length.to_f] }
      end
    end

    measure(:ticket_error_ratio, "wrong diagnoses, six chosen times over six random", "<= 0.2") { |seed| ticket_error_ratio(seed) }
  end
end
