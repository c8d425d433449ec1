# frozen_string_literal: true

RSpec.describe Vantick::Core::Knowing::Diagnosis do
  def diagnose(*answers, days: [], **more)
    Vantick::Core::Knowing::Diagnosis.new(answers.map { |shown, text| mark("dial_to_words", shown, text) }, days:, **more)
  end

  it "takes one answer for possible, and two the same way for likely" do
    found = diagnose(["7:45", "quarter to seven"])
    expect([found.verdict, found.likely, found.possible.map(&:id)]).to eq(["possible", [], [:to_with_passed_hour]])
    expect(found.states.values.sum).to be_within(1e-9).of(1)
    expect(diagnose(["7:45", "quarter to seven"], ["4:45", "quarter to four"]).verdict).to eq("likely")
  end

  it "spreads a mistake over no more answers than there are: two wrong of six a.m. or p.m. are no mixing up" do
    times = %w[08:30 14:15 19:45 09:30 15:00 10:15].map { |text| Vantick::Core::Dial::DayTime.parse(text) }
    given = times.map.with_index do |at, place|
      said = place < 2 ? { am: "p.m.", pm: "a.m." }.fetch(at.half) : { am: "a.m.", pm: "p.m." }.fetch(at.half)
      Vantick::Core::Marking::Marker.mark(task: task(:day_half), time: at, text: said)
    end
    expect(described_class.new(given).verdict).not_to eq("likely")
  end

  it "takes no child who guesses between two answers for one who mixes them up" do
    times = step(:day_halves).pool_for(task(:day_half)).reject { |at| [0, 12].include?(at.hour) && at.minute.zero? }
    told = (1..20).count do |seed|
      random = Random.new(seed)
      given = times.sample(12, random:).map { |at| marked_half(at, ["a.m.", "p.m."].sample(random:)) }
      described_class.new(given).likely.any?
    end
    mixed = times.sample(12, random: Random.new(1)).map { |at| marked_half(at, { am: "p.m.", pm: "a.m." }.fetch(at.half)) }
    expect([told, described_class.new(mixed).likely.map(&:id)]).to eq([0, [:day_halves_swapped]])
  end

  def marked_half(at, text) = Vantick::Core::Marking::Marker.mark(task: task(:day_half), time: at, text:)

  it "knows nothing without answers, and says so" do
    expect(diagnose.verdict).to eq("not enough to say")
    unread = diagnose(["7:45", "???"], ["3:30", "scribble"])
    expect([unread.verdict, unread.states.values]).to eq(["not enough to say", diagnose.states.values])
  end

  it "tells secure from answers that are right, of misreadings that could have shown" do
    right = [["7:45", "qt8"], ["3:30", "hp3"], ["1:15", "qp1"], ["12:45", "qt1"], ["5:00", "5o"]]
    expect(diagnose(*right).verdict).to eq("secure")
    expect(diagnose(*right).probability(misreading(:to_with_passed_hour))).to be < diagnose.probability(misreading(:to_with_passed_hour))
    expect(diagnose(*right).probability(misreading(:stops_at_five))).to eq(diagnose.probability(misreading(:stops_at_five)))
  end

  it "leans to secure weeks after answers that were right, and to unsure after mistakes that nothing explains" do
    right = [["7:45", "qt8"], ["3:30", "hp3"], ["1:15", "qp1"], ["12:45", "qt1"], ["5:00", "5o"]]
    given = diagnose(*right).answers
    later = (0..40).step(5).to_h { |days| [days, described_class.new(given, days: given.map { 1 }, today: 1 + days)] }
    expect(later.values.map(&:leans).uniq).to eq([:secure])
    expect(later.values.map(&:verdict).uniq).to eq(["secure"])
    expect(diagnose(["7:45", "ten past two"], ["3:30", "four o'clock"], ["1:15", "twenty to nine"]).leans).to eq(:unsure)
    expect(diagnose(["7:45", "quarter to seven"], ["10:45", "quarter to ten"]).leans).to eq(:misreading)
    expect(diagnose.leans).to be_nil
  end

  it "tells unsure from mistakes that nothing explains" do
    found = diagnose(["7:45", "ten past two"], ["3:30", "four o'clock"], ["1:15", "twenty to nine"])
    expect([found.top, found.verdict]).to eq([Vantick::Core::Judging::State::UNSURE, "not enough to say"])
  end

  it "takes an answer that names what no longer leads to it for one that nothing explains" do
    hands_swapped = Vantick::Core::Reading::Misreading.find(:hands_swapped)
    impossible = Vantick::Core::Dial::DialTime.all.find { |dial_time| hands_swapped.wrong_answers(dial_time, task("dial_to_words")).empty? }
    old = Vantick::Core::Marking::MarkedAnswer.new(task: task("dial_to_words"), time: impossible, verdict: :misread,
                                                   misreadings: [:hands_swapped])
    found = described_class.new([old, mark("dial_to_words", "7:45", "qt8")])
    expect(found.states.values.sum).to be_within(1e-9).of(1)
    expect(found.states.values).to all(be_finite)
  end

  it "names both of two misreadings that each show" do
    found = diagnose(["7:45", "quarter to seven"], ["3:30", "half past four"], ["10:45", "quarter to ten"], ["8:30", "half past nine"])
    expect(found.likely.map(&:id)).to match_array(%i[next_hour_early to_with_passed_hour])
    expect(found.verdict).to eq("likely")
  end

  it "keeps a second misreading where another shows in its place" do
    short = [["1:28", "twenty-seven past one"], ["2:24", "twenty-three past two"], ["4:42", "nineteen to five"],
             ["5:23", "twenty-two past five"]]
    mirrored = ["3:35", "twenty-five past eight"], ["10:45", "quarter past one"], ["7:20", "twenty to five"]
    found = diagnose(*mirrored, *short)
    expect([found.likely.map(&:id), found.possible.map(&:id)]).to all(match_array(%i[ticks_one_short dial_mirrored]))
  end

  it "lets a child change: a few right answers clear what has gone, and days make it less sure" do
    wrong = [["7:45", "quarter to seven"], ["4:45", "quarter to four"], ["10:45", "quarter to ten"]]
    right = %w[1:45 2:45 3:45 5:45 6:45 8:45 9:45 11:45].map { |shown| [shown, Vantick::Core::Wording::Phrase.usual(time(shown))] }
    needed = (0..8).find { |count| diagnose(*wrong, *right.first(count)).likely.empty? }
    expect(needed).to be_between(2, 8)
    after = ->(days) { diagnose(*wrong, days: [0, 0, 0], today: days).probability(misreading(:to_with_passed_hour)) }
    expect([0, 20, 60, 200].map(&after).each_cons(2)).to all(satisfy { |one, other| one > other })
    expect(after[200]).to be < 0.1
  end

  it "is the same answer by answer as all at once" do
    given = [["7:45", "quarter to seven"], ["3:30", "half past four"], ["10:45", "quarter to ten"]].map do |at, text|
      mark("dial_to_words", at, text)
    end
    one_by_one = given.reduce(described_class.new([])) { |diagnosis, marked| diagnosis.with(marked) }
    expect(one_by_one.states.transform_keys { |state| state.misreadings.map(&:id) + [state.name] })
      .to eq(described_class.new(given).states.transform_keys { |state| state.misreadings.map(&:id) + [state.name] })
  end

  # Planted misreadings, found again from the answers of a made-up child.
  task = Vantick::Core::Tasks::Task.find(:dial_to_words)
  Vantick::Core::Reading::Misreading.for(task).each do |planted|
    it "finds #{planted.id} again from eight answers, and calls it likely where it showed often enough" do
      shown = Vantick::Core::Choosing::Chooser.choose(step: step(:minutes), task:, count: 8, seed: 4).times
      child = Vantick::Core::Simulation::SimulatedChild.new(misreadings: [planted], seed: 2)
      found = described_class.new(shown.map { |one| Vantick::Core::Marking::Marker.mark(task:, time: one, text: child.answer(one, task)) })
      needed = Vantick::Core::Knowing::Diagnosis::ROW[planted.seldom? ? :seldom_hits : :hits]
      enough = shown.count { |one| planted.chance?(one, task) } >= needed
      expect([found.verdict, found.possible.first]).to eq([enough ? "likely" : "possible", planted])
    end
  end

  describe Vantick::Core::Judging::ItemSelection do
    def next_best(diagnosis, step_id = :quarters) = described_class.time(diagnosis, task("dial_to_words"), step(step_id).pool)

    it "asks where the states that are left would answer differently" do
      undecided = diagnose(["7:45", "quarter to seven"], ["3:30", "half past four"])
      shares = undecided.states
      best = described_class.expected_fall(shares, next_best(undecided), task("dial_to_words"))
      falls = step(:quarters).pool.map { |shown| described_class.expected_fall(shares, shown, task("dial_to_words")) }
      expect(best).to be_within(0.01).of(falls.max)
    end

    # Worked by hand: secure and one misreading, even odds; the answer is 0.95 or 0.18 right, 0.77 as
    # predicted, 0.05 other. Entropy falls from 1 bit by 1 - (0.565 H(0.95 : 0.18) + 0.05 * 1) bits.
    it "expects the fall in entropy that the numbers give" do
      shares = { Vantick::Core::Judging::State::SECURE => 0.5,
Vantick::Core::Judging::State.new(:misreading, [misreading(:to_with_passed_hour)]) => 0.5 }
      bits = ->(part) { (-part * Math.log2(part)) - ((1 - part) * Math.log2(1 - part)) }
      expect(described_class.expected_fall(shares, time("7:45"), task("dial_to_words")))
        .to be_within(1e-6).of(1 - ((0.565 * bits[0.475 / 0.565]) + 0.05))
      expect(described_class.expected_fall(shares, time("3:15"), task("dial_to_words"))).to be_within(1e-9).of(0)
    end

    it "advises what tells enough and was not asked before, and nothing where there is nothing to settle" do
      undecided = diagnose(["7:45", "quarter to seven"], ["3:30", "half past four"])
      advice = described_class.advice(undecided, step(:quarters))
      expect(advice.bits).to be >= described_class::TELLING_BITS
      expect(advice.task.dial?).to be(true)
      right = step(:quarters).pool.first(20).map { |shown| [shown.to_s, Vantick::Core::Wording::Phrase.usual(shown)] }
      expect(described_class.advice(diagnose(*right), step(:quarters))).to be_nil
      expect(described_class.advice(diagnose, step(:quarters))).to be_nil
    end

    it "has nothing to ask where nothing is left" do
      expect(described_class.time(diagnose, task("dial_to_words"), [])).to be_nil
    end
  end
end
