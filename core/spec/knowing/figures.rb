# frozen_string_literal: true

require "yaml"

# What the model says of a few children, in figures: made so that each of its numbers shows in some of them.
module Figures
  module_function

  CORE = Vantick::Core
  KINDS = %i[oclock half_past quarter_to fives_to minutes_to].freeze

  GROUPS = %i[fresh after_lessons after_answers careless told days mistakes children with_mistakes bad_days said baseline].freeze
  RECORDED = File.join(__dir__, "figures.yml")

  # @return [Hash{String => Array<String>}] numbers, rounded, and words, by group
  def all = GROUPS.to_h { |group| [group.to_s, of(group)] }

  # @param group [Symbol] one of {GROUPS}
  # @return [Array<String>]
  def of(group) = send(group).flatten.map { |one| rounded(one) }

  # @return [Hash{String => Array<String>}] what was said when the numbers were chosen
  def recorded = YAML.safe_load_file(RECORDED)

  def record
    File.write(RECORDED,
               "# Written by bin/numbers --record: what the model says, in figures (see figures.rb).\n#{YAML.dump(all)}")
  end

  def rounded(one) = one.is_a?(Float) ? format("%.4f", one) : one.to_s

  def step(id) = CORE::Curriculum::Step.find(id)

  def task(id) = CORE::Tasks::Task.find(id)

  def mark(shown, text, with = :dial_to_words)
    CORE::Marking::Marker.mark(task: task(with), time: task(with).parse_time(shown), text:)
  end

  def belief = CORE::Knowing::Belief.new.tap { |one| yield one if block_given? }

  def met(belief)
    KINDS.product(%i[say write set]).map { |kind, way| belief.met(CORE::Knowing::Asking.of(kind, way)) } +
      [belief.met(CORE::Knowing::Asking.of(:hour_hand, :alone)), belief.met(CORE::Knowing::Asking.of(:day_halves, :day)), belief.slip]
  end

  def fresh
    [*met(belief), *diagnosis([]).states.values.first(3),
     belief.chance_of_right(task(:digital_to_words), CORE::Dial::DialTime.parse("3:30"), 1), belief.careful]
  end

  def after_lessons
    met(belief { |one| { half_past: 1, quarters: 3, fives: 5 }.each { |id, day| one.taught(step(id), day) } })
  end

  def after_answers
    [["half past three"], ["half past four"], ["twenty past seven"], [""],
     ["half past three", "half past three", "ten past nine"]].flat_map do |texts|
      met(belief { |one| texts.each { |text| one.answered(mark("3:30", text), 1) } })
    end
  end

  def careless
    found = belief { |one| 30.times { |at| one.answered(mark("3:30", at % 4 == 3 ? "ten past nine" : "half past three"), at / 5) } }
    [found.slip, found.careful, *met(found)]
  end

  def told
    [true, false].flat_map { |known| met(belief { |one| one.judged(step(:quarters), known, 1) }) }
  end

  def days
    found = belief { |one| [1, 4, 9].each { |day| one.answered(mark("3:30", day == 4 ? "ten past nine" : "half past three"), day) } }
    asking = CORE::Knowing::Asking.of(:half_past, :say)
    long = belief { |one| 20.times { |day| one.answered(mark("3:30", "half past three"), day) } }
    low = belief { |one| 30.times { |day| one.answered(mark("3:30", "ten past nine"), day) } }
    [found.half(asking), found.fresh(asking, 40), found.retention(asking, 40), found.half(CORE::Knowing::Asking.of(:oclock, :say)),
     long.half(asking), low.half(asking), found.chance_of_right(task(:dial_to_words), CORE::Dial::DialTime.parse("3:30"), 60),
     *met(found.dup.tap { |one| one.gone_over([:half_past], 40) })]
  end

  def mistakes
    passed = [["2:45", "quarter to two"], ["4:45", "quarter to five"], ["9:45", "quarter to nine"], ["7:45", "quarter to seven"]]
    seldom = CORE::Reading::Misreading.all.select(&:seldom?).first(2)
    given = passed.each_index.map { |count| diagnosis(passed.first(count + 1)) }
    one = CORE::Reading::Misreading.find(:to_with_passed_hour)
    [*given.flat_map { |found| [found.probability(one), found.likely.length, found.possible.length, found.verdict] },
     *given.last.states.values.first(12), given.last.belief.mistake(one, 60), *seldom.map { |other| given.first.probability(other) },
     *KINDS.map { |kind| given.last.belief.shown(CORE::Knowing::Asking.of(kind, :say)) }, *of_many(passed)]
  end

  # So many chances, of which more and more show it, and a second mistake beside it.
  def of_many(passed)
    right = [["1:45", "quarter to two"], ["3:45", "quarter to four"], ["5:45", "quarter to six"], ["6:45", "quarter to seven"]]
    swapped = [["2:10", "ten past two"], ["3:10", "quarter past two"], ["5:10", "twenty-five past two"], ["7:10", "twenty-five to two"]]
    (1..4).flat_map do |count|
      found = diagnosis((right * 2) + passed.first(count) + swapped.first(count) + (right * count))
      [found.likely.length, found.possible.length, found.leans.to_s, found.top.misreadings.length]
    end
  end

  def diagnosis(answers) = CORE::Knowing::Diagnosis.new(answers.map { |shown, text| mark(shown, text) }, days: answers.each_index.to_a)

  # Children who are right more or less often, each after some days, and what is told of them.
  def children
    (0...48).map do |seed|
      random = Random.new(seed)
      right = [0.5, 0.7, 0.8, 0.85, 0.9, 1][seed % 6]
      given = (0...(2 + (seed % 5))).flat_map { |day| Array.new(5) { asked(random, day, random.rand < right) } }
      of_child(CORE::Teaching::ChildProgress.new(given, today: given.last.day + (seed % 7 * 9)))
    end
  end

  def of_child(progress)
    expected = progress.expected
    [progress.states.values.join(" "), progress.headline.kind, progress.stumbles.length, progress.review_due.length, progress.next_step&.id,
     expected.gain(step(:quarters)), expected.gain(step(:minutes)), expected.known(:fives_past), progress.diagnosis.verdict]
  end

  # Children with one mistake or two, which show in some of their answers, and what is told of these.
  def with_mistakes
    all = CORE::Reading::Misreading.all.select { |misreading| misreading.shows_in?(task(:dial_to_words)) }
    (0...36).map do |seed|
      random = Random.new(seed)
      own = seed % 3 == 2 ? all.select(&:seldom?).sample(1, random:) : all.sample(1 + (seed % 2), random:)
      child = CORE::Simulation::SimulatedChild.new(misreadings: own, consistency: [0.3, 0.5, 0.7, 1][seed % 4], careless: 0.05, seed:)
      shown = step(:minutes).pool.sample(8 + (seed % 6 * 14), random:)
      told_of(diagnosis(shown.map { |time| [time.to_s, child.answer(time, task(:dial_to_words))] }))
    end
  end

  def told_of(found)
    progress = found.belief
    [found.verdict, found.leans.to_s, found.likely.map(&:id).join(" "), found.possible.map(&:id).join(" "), found.top.misreadings.length,
     found.evidence.sum(&:hits), found.states.length, progress.shown(CORE::Knowing::Asking.of(:fives_to, :say))]
  end

  def asked(random, day, right)
    with = task(day.even? ? :dial_to_words : :dial_to_digital)
    time = step(:quarters).pool.sample(random:)
    said = right ? time : step(:quarters).pool.sample(random:)
    marked = CORE::Marking::Marker.mark(task: with, time:, text: with.write(with.right_answer(said)))
    CORE::Curriculum::ItemResponse.new(step: step(:quarters), marked:, day: day * 3)
  end

  # How many wrong answers make a day a bad one, and a second, after more and more good ones.
  def bad_days
    (1..7).to_a.product([2, 5, 8]).flat_map do |wrong, days|
      good = (0...days).flat_map { |day| Array.new(5) { |at| asked(Random.new((day * 5) + at), day, true) } }
      bad = [9, 11].flat_map { |day| Array.new(8) { |at| asked(Random.new(at + 50), day, at >= wrong) } }
      [good + bad.first(8), good + bad].map { |all| CORE::Knowing::Followed.new(all).belief.slip }
    end
  end

  def said
    [true, false].map do |known|
      one = CORE::Teaching::TeacherJudgement.new(step: step(:half_past), known:, day: 1)
      CORE::Teaching::ChildProgress.new([], today: 2, judgements: [one]).expected.of_step(step(:half_past))
    end
  end

  # What is asked of children who know so many steps, and where they are found.
  def baseline
    [-1, 1, 4, 7].map do |far|
      one = CORE::Knowing::Baseline.new
      random = Random.new(1)
      while (question = one.next_question(random))
        away = CORE::Knowing::Baseline.rungs.index(question.step) <= far ? 0 : 137
        said = CORE::Dial::DialTime.from_index(question.time.index + away)
        one.answered(question, CORE::Knowing::Baseline.marked(question, said))
      end
      [*one.asked.map { |asked| "#{asked.time} #{asked.task.id}" }, one.place&.id, one.doubt]
    end + CORE::Knowing::Baseline.page(count: 12, seed: 1).map { |asked| asked.time.to_s }
  end
end
