# frozen_string_literal: true

require_relative "../term/looks"

module Bench
  # How good what is told of misreadings is: of one that has gone, of two at once, and of a class after a check.
  class Telling < Family
    # Right answers until a misreading that has gone is no longer told.
    def cleared_after(seed)
      ids = Pupil::MISREADINGS.first(Sizes[:misreadings_of_pupils])
      shown = ids.map { |id| Reading::Misreading.find(id) }.select { |one| one.shows_in?(WORDS) }
      pairs = shown.product((1..Sizes[:cleared_seeds]).to_a)
      counts = pairs.filter_map { |gone, more| cleared(gone, (seed * 10) + more) }
      counts.sort[counts.length / 2].to_f
    end

    def cleared(gone, seed)
      times = Curriculum::Step.find(:minutes).pool.select { |time| gone.chance?(time, WORDS) }.sample(40, random: Random.new(seed))
      child = Simulation::SimulatedChild.new(misreadings: [gone], consistency: Pupil::CONSISTENCY, seed:)
      diagnosis = Knowing::Diagnosis.new(answered(child, WORDS, times.first(8)))
      return unless diagnosis.likely.include?(gone)

      right = answered(Simulation::SimulatedChild.new(seed:), WORDS, times.drop(8))
      right.each_with_index { |marked, at| (diagnosis = diagnosis.with(marked)).likely.include?(gone) or return at + 1 }
      right.length
    end

    def both_of_two(seed)
      all = Choosing::Discrimination.for(Curriculum::Step.find(:minutes), WORDS).misreadings.combination(2).to_a
      pairs = all.sample(Sizes[:pairs_told], random: Random.new(seed))
      share(pairs) do |pair|
        child = Simulation::SimulatedChild.new(misreadings: pair.shuffle(random: Random.new(seed)),
                                               consistency: Pupil::CONSISTENCY, careless: CARELESS,
                                               seed:)
        times = Choosing::Chooser.choose(step: Curriculum::Step.find(:minutes), task: WORDS, count: 16, seed:).times
        (pair - Knowing::Diagnosis.new(answered(child, WORDS, times)).possible).empty?
      end
    end

    # After a check of six clocks: who is named, and who of those that showed theirs twice is not.
    def news(seed)
      checks = %i[quarters fives minutes].product((1..Sizes[:news_seeds]).to_a).map do |id, more|
        check_news(Curriculum::Step.find(id), (seed * 100) + more)
      end
      named = checks.flat_map(&:first)
      twice = checks.flat_map(&:last)
      Taken.new(share(named, &:itself), { "kept of those with two hits (at least 0.93)" => share(twice, &:itself) })
    end

    def check_news(step, seed)
      truth = class_truth(step, Random.new(seed))
      marked = check_of(step, truth, seed)
      named = Judging::ClassEvidence.new(marked).shared.flat_map { |found| found.children.map { |key| [key, found.misreading] } }
      twice = truth.select { |key, one| one && marked[key].count { |answer| answer.misreadings.include?(one.id) } >= 2 }
      [named.map { |key, one| truth[key] == one }, twice.map { |key, one| named.include?([key, one]) }]
    end

    # Three misreadings of the step go round in a class.
    def class_truth(step, random)
      own = Choosing::Discrimination.for(step, WORDS).misreadings.sample(3, random:)
      (1..26).to_h { |key| [key, random.rand < 0.4 ? own.sample(random:) : nil] }
    end

    def check_of(step, truth, seed)
      times = Choosing::Chooser.choose(step:, task: WORDS, count: 6, seed:).times
      truth.to_h do |key, one|
        child = Simulation::SimulatedChild.new(misreadings: [*one], consistency: Pupil::CONSISTENCY, careless: 0.12, seed: seed + key)
        [key, answered(child, WORDS, times)]
      end
    end

    measure(:both_of_two, "of two misreadings at once both told, after 16 answers", ">= 0.45") { |seed| both_of_two(seed) }
    measure(:news_right, "of those named after a check, who have it", ">= 0.60") { |seed| news(seed) }
  end
end
