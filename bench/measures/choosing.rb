# frozen_string_literal: true

module Bench
  # The chooser against the best there is, and against blind luck.
  class Choice < Family
    # The worst of a few pools and seeds, each over the best of all subsets spread as well.
    def ticket_against_best(seed)
      Taken.new(*POOLS.map { |step, task| against_best(step, task, seed) }.then { |worst| [worst.min, {}] })
    end

    def against_best(step, task, seed)
      pool = small_pool(step, task, seed)
      telling = Choosing::Discrimination.new(pool, task)
      balance = Choosing::Balance.new(pool, 4, [])
      all = pool.combination(4).group_by { |times| balance.faults(times) }
      best = all.fetch(all.keys.min).map { |times| telling.worth(times) }.max
      (0...Sizes[:chooser_seeds]).map do |at|
        telling.worth(Choosing::Chooser.new(telling, balance, 4, Random.new(seed + at)).times)
      end.min / best
    end

    def small_pool(step, task, seed) = step.pool_for(task).sample(Sizes[:small_pool], random: Random.new(seed))

    # The doubt that five chosen times leave over what five blind ones leave: of all pairs that can be
    # told apart, what is missing from the sum.
    def doubt_left(seed)
      step = Curriculum::Step.find(:quarters)
      telling = Choosing::Discrimination.for(step, WORDS)
      doubt = ->(times) { telling.weight_possible - telling.worth(times) }
      random = Random.new(seed)
      blind = Array.new(Sizes[:blind_draws]) { doubt.call(step.pool.sample(5, random:)) }
      chosen = Array.new(Sizes[:chooser_seeds]) do |at|
        doubt.call(Choosing::Chooser.choose(step:, task: WORDS, count: 5, seed: seed + at).times)
      end
      (chosen.sum / chosen.length) / (blind.sum / blind.length)
    end

    def choose(seed)
      ratios = POOLS.to_h { |step, task| ["#{step.id} #{task.id}", choosing_time(step, task, seed) / scoring_time(step, task, seed)] }
      Taken.new(ratios.values.max, ratios)
    end

    def choosing_time(step, task, seed) = quickest(9) { Choosing::Chooser.choose(step:, task:, count: TICKET, seed:) }

    def scoring_time(step, task, seed)
      random = Random.new(seed)
      tickets = Array.new(Sizes[:blind_tickets]) { step.pool_for(task).sample(TICKET, random:) }
      telling = Choosing::Discrimination.for(step, task)
      quickest(9) { tickets.each { |times| telling.worth(times) } }
    end

    measure(:ticket_against_best, "what four chosen times tell, over the best of all subsets", ">= 0.98") do |seed|
      ticket_against_best(seed)
    end
    measure(:doubt_left, "doubt that five chosen times leave, over five random", "small") { |seed| doubt_left(seed) }
    measure(:choose, "time to choose six times, over scoring 500 random tickets", "<= 1") { |seed| choose(seed) }
  end
end
