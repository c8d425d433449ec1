# frozen_string_literal: true

module Bench
  # Answers of each child, and children on each pool.
  ANSWERS = 10
  CONSISTENCY = (0.6..0.95)
  # Verdicts that name a misreading.
  TOLD = %w[likely possible].freeze

  # How good and how quick a diagnosis is.
  class Diagnoses < Family
    def diagnosis_against_bayes(seed)
      judged = POOLS.flat_map { |step, task| judged_on(step, task, seed) }
      likely = judged.select { |one| one[:verdict] == "likely" }
      right = ->(who) { judged.count { |one| one[who] == one[:truth] } / judged.length.to_f }
      Taken.new(shown_twice(judged), { "all, with those that showed once or never" => right[:ours] / right[:exact],
                                       "likely told wrongly (at most 0.05)" => wrong_share(likely) })
    end

    # The exact posterior knows that nearly all of these children have one, so one answer is enough for it.
    def shown_twice(judged)
      twice = judged.select { |one| one[:hits] >= 2 }
      twice.count { |one| one[:ours] == one[:truth] }.fdiv(twice.count { |one| one[:exact] == one[:truth] })
    end

    def wrong_share(likely) = likely.count { |one| (one[:ours] - one[:truth]).any? } / likely.length.to_f

    def judged_on(step, task, seed)
      random = Random.new(seed)
      tickets = Array.new(Sizes[:tickets]) { |at| Choosing::Chooser.choose(step:, task:, count: ANSWERS, seed: seed + at).times }
      Array.new(Sizes[:judged]) do |at|
        truth = truths(step, task)[at % truths(step, task).length]
        consistency = random.rand(CONSISTENCY)
        child = Simulation::SimulatedChild.new(misreadings: truth, consistency:, careless: CARELESS, seed: (seed * Sizes[:judged]) + at)
        answers = tickets[at % tickets.length].map { |time| [time, child.answer(time, task)] }
        { **both(step, task, answers, consistency), truth:, hits: hits(truth, answers, task) }
      end
    end

    def hits(truth, answers, task)
      answers.count { |time, text| truth.any? { |one| Marking::Marker.mark(task:, time:, text:).misreadings.include?(one.id) } }
    end

    def both(step, task, answers, consistency)
      diagnosis = Knowing::Diagnosis.new(answers.map { |time, text| Marking::Marker.mark(task:, time:, text:) })
      probability = lambda do |truth|
        answers.sum { |time, text| Math.log(exact(truth.first, time, text, task, consistency)) }
      end
      exact = truths(step, task).tally.max_by { |truth, often| probability[truth] + Math.log(often) }.first
      { ours: diagnosis.top.misreadings, verdict: diagnosis.verdict, exact: }
    end

    # What {SimulatedChild} does, as a probability: the exact posterior knows the parameters.
    def exact(misreading, time, text, task, consistency)
      wrong = misreading ? Reading::Predictions.of(task).wrong_answers(misreading, time).map { |answer| task.write(answer) } : []
      kept = wrong.empty? ? 0 : consistency
      right = text == task.write(task.right_answer(time)) ? 1 - kept : 0
      meant = right + (wrong.empty? ? 0 : kept * wrong.count(text) / wrong.length)
      (CARELESS / task.times.length) + ((1 - CARELESS) * meant)
    end

    # Thirty children, each with a misreading in turn, forty answers each, in digits and in words.
    def diagnose_class(seed)
      given = class_answers(seed)
      parse = quickest { given.each { |answers| answers.each { |_, _, text| Wording::AnswerReader.read(text) } } }
      marked = given.map { |answers| answers.map { |task, time, text| Marking::Marker.mark(task:, time:, text:) } }
      quickest { marked.each { |answers| Knowing::Diagnosis.new(answers) } } / parse
    end

    def class_answers(seed)
      misreadings = Reading::Misreading.for(WORDS).cycle
      Array.new(Sizes[:class_of]) do |at|
        child = Simulation::SimulatedChild.new(misreadings: [misreadings.next], consistency: 0.85, careless: CARELESS, seed: seed + at)
        times = Curriculum::Step.find(:minutes).pool.sample(40, random: Random.new(seed + at))
        times.map.with_index { |time, place| (place.even? ? DIGITS : WORDS).then { |task| [task, time, child.answer(time, task)] } }
      end
    end

    # Of children with two misreadings, those of whom what is named is theirs.
    def pair_found(seed)
      named = POOLS.select { |_, task| task == WORDS }.flat_map do |step, task|
        pairs = Choosing::Discrimination.for(step, task).misreadings.combination(2).to_a
        pairs.sample(Sizes[:pairs], random: Random.new(seed)).map.with_index do |truth, at|
          named(step, task, truth, seed + at).then { |misreadings| misreadings.any? && (misreadings - truth).empty? }
        end
      end
      named.count(true) / named.length.to_f
    end

    def named(step, task, truth, seed)
      child = Simulation::SimulatedChild.new(misreadings: truth, consistency: 0.9, careless: CARELESS, seed:)
      diagnosis = Knowing::Diagnosis.new(answered(child, task, Choosing::Chooser.choose(step:, task:, count: 8, seed: seed % 5).times))
      TOLD.include?(diagnosis.verdict) ? diagnosis.top.misreadings : []
    end

    measure(:diagnosis_against_bayes, "accuracy over that of the exact posterior, where the misreading showed twice",
            ">= 0.95") { |seed| diagnosis_against_bayes(seed) }
    measure(:diagnose_class, "time to diagnose a class over that to read its answers", "<= 10") { |seed| diagnose_class(seed) }
    measure(:pair_found, "of two misreadings at once one or both named, and nothing else", "near 1") { |seed| pair_found(seed) }
  end
end
