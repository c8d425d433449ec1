# frozen_string_literal: true

require "benchmark"
require "json"
require "vantick/core"

# Each measure is a ratio of two things taken in one run, so that it means the same on any machine.
module Bench
  include Vantick::Core

  WORDS = Task.find(:dial_to_words)
  ROUNDS = 5
  STEPS = %i[quarters fives minutes].freeze
  # Children without a misreading.
  NOBODY = Array.new(30) { [] }.freeze
  TOLD = %w[likely possible].freeze

  module_function

  # What the chosen times tell, over what the best of all subsets tells, on a pool small enough to
  # try them all; the worst of {ROUNDS} seeds. At most 1.
  def choice_worth
    hours = [0, 1, 2, 4, 7, 10]
    pool = Step.find(:quarters).pool.select { |time| hours.include?(time.hour) }
    telling = Telling.new(pool, WORDS)
    balance = Balance.new(pool, 4, [])
    best = pool.combination(4).select { |times| balance.faults(times).sum.zero? }.map { |times| telling.worth(times) }.max
    (1..ROUNDS).map { |seed| telling.worth(Chooser.new(telling, balance, 4, Random.new(seed)).times) }.min / best
  end

  # The doubt that five chosen times leave, over the doubt that five taken blindly leave (mean of 200
  # drawings): of all pairs that can be told apart, what is missing from the sum. Smaller is better.
  def doubt_left
    step = Step.find(:quarters)
    telling = Telling.for(step, WORDS)
    doubt = ->(times) { telling.pairs_possible - telling.worth(times) }
    random = Random.new(1)
    blind = Array.new(200) { doubt.call(step.pool.sample(5, random:)) }
    chosen = (1..ROUNDS).map { |seed| doubt.call(Chooser.choose(step:, task: WORDS, count: 5, seed:).times) }
    (chosen.sum / chosen.length) / (blind.sum / blind.length)
  end

  # Children with one misreading who are told so, named rightly and as likely, over all of them: eight
  # answers, nine times of ten consistent, one of twenty careless.
  def planted_found
    told = planted(1).map { |misreadings, diagnosis| diagnosis.verdict == "likely" && diagnosis.top.misreadings == misreadings }
    told.count(true) / told.length.to_f
  end

  # The same for two misreadings at once: one of the two named and none other, over all of them.
  def pair_found
    told = planted(2).map { |misreadings, diagnosis| diagnosis.verdict == "likely" && (diagnosis.top.misreadings - misreadings).empty? }
    told.count(true) / told.length.to_f
  end

  # Children without a misreading who are told to have one, over all of them. Smaller is better.
  def wrongly_told
    told = planted(0).map { |_, diagnosis| TOLD.include?(diagnosis.verdict) }
    told.count(true) / told.length.to_f
  end

  # Simulated children with so many misreadings, and their diagnoses, on three steps.
  def planted(many)
    STEPS.flat_map do |id|
      step = Step.find(id)
      sets = many.zero? ? NOBODY : Telling.for(step, WORDS).misreadings.combination(many).to_a.sample(12, random: Random.new(2))
      sets.map.with_index { |misreadings, seed| [misreadings, diagnosed(step, misreadings, seed)] }
    end
  end

  def diagnosed(step, misreadings, seed)
    child = SimulatedChild.new(misreadings:, consistency: 0.9, careless: 0.05, seed:)
    times = Chooser.choose(step:, task: WORDS, count: 8, seed:).times
    Diagnosis.new(times.map { |time| Marker.mark(task: WORDS, time:, text: child.answer(time, WORDS)) })
  end

  # Time to mark an answer, over the time to read it alone.
  def mark_cost
    answers = DialTime.all.map { |time| [time, Phrase.usual(DialTime.from_index(time.index + 5))] }
    read = Benchmark.realtime { ROUNDS.times { answers.each { |answer| AnswerReader.read(answer.last) } } }
    Benchmark.realtime { ROUNDS.times { answers.each { |time, text| Marker.mark(task: WORDS, time:, text:) } } } / read
  end

  # Time to choose twelve times, over the time to choose five.
  def choice_growth
    choose = ->(count) { Benchmark.realtime { Chooser.choose(step: Step.find(:minutes), task: WORDS, count:, seed: 1) } }
    choose.call(5)
    choose.call(12) / choose.call(5)
  end

  MEASURES = %i[choice_worth doubt_left planted_found pair_found wrongly_told mark_cost choice_growth].freeze
end

wanted = ARGV.empty? ? Bench::MEASURES : ARGV.map(&:to_sym)
unknown = wanted - Bench::MEASURES
abort "There is no measure #{unknown.first}: use #{Bench::MEASURES.join(', ')}." if unknown.any?
wanted.each { |name| puts JSON.generate(measure: name, ratio: Bench.public_send(name).round(3)) }
