# frozen_string_literal: true

RSpec.describe Vantick::Core::Diagnosis do
  def diagnose(*answers, ages: []) = Vantick::Core::Diagnosis.new(answers.map { |shown, text| mark("dial_to_words", shown, text) }, ages:)

  def state(diagnosis, *ids) = diagnosis.states.find { |one, _| one.misreadings.map(&:id) == ids }.last

  # Bayes' rule, worked by hand: seven misreadings show at 7:45, so each has 0.5 / 7 of the prior.
  #   to_with_passed_hour  0.5 / 7 * 0.85         = 0.060714
  #   six others           6 * 0.5 / 7 * 0.05 / 40 = 0.000536
  #   secure               0.4 * 0.05 / 40         = 0.000500
  #   unsure               0.1 * 0.70 / 40         = 0.001750
  it "is Bayes' rule for one answer" do
    found = diagnose(["7:45", "quarter to seven"])
    expect(found.probability(misreading(:to_with_passed_hour))).to be_within(0.0001).of(0.060714 / 0.0635)
    expect(found.states[Vantick::Core::State::UNSURE]).to be_within(0.0001).of(0.00175 / 0.0635)
    expect(found.states.values.sum).to be_within(1e-9).of(1)
    expect(found.verdict).to eq("likely")
  end

  it "shares a prediction out among the answers it names" do
    found = diagnose(["7:45", "quarter past eight"])
    expect(state(found, :sides_swapped)).to be_within(0.001).of(0.5 / 7 * 0.425 / ((0.5 / 7 * 0.425) + 0.000536 + 0.0005 + 0.00175))
  end

  it "knows nothing without answers, and says so" do
    expect(diagnose.verdict).to eq("not enough to say")
    expect(diagnose(["7:45", ""], ["3:30", "???"]).states.values).to eq([0.8, 0.2])
  end

  it "tells secure from answers that are right, of misreadings that could have shown" do
    right = [["7:45", "qt8"], ["3:30", "hp3"], ["1:15", "qp1"], ["12:45", "qt1"], ["5:00", "5o"]]
    expect(diagnose(*right).verdict).to eq("secure")
    expect(diagnose(*right).probability(misreading(:stops_at_five))).to eq(0)
  end

  it "tells unsure from mistakes that nothing explains" do
    found = diagnose(["7:45", "ten past two"], ["3:30", "four o'clock"], ["1:15", "twenty to nine"])
    expect([found.top, found.verdict]).to eq([Vantick::Core::State::UNSURE, "not enough to say"])
  end

  it "takes an answer that names what no longer leads to it for one that nothing explains" do
    hands_swapped = Vantick::Core::Misreading.find(:hands_swapped)
    impossible = Vantick::Core::DialTime.all.find { |one| hands_swapped.wrong_answers(one, task("dial_to_words")).empty? }
    old = Vantick::Core::Marked.new(task: task("dial_to_words"), time: impossible, verdict: :misread, misreadings: [:hands_swapped])
    found = described_class.new([old, mark("dial_to_words", "7:45", "qt8")])
    expect(found.states.values.sum).to be_within(1e-9).of(1)
    expect(found.states.values).to all(be_finite)
  end

  it "tries pairs where no single misreading tells the answers well" do
    found = diagnose(["7:45", "quarter to seven"], ["3:30", "half past four"], ["10:45", "quarter to ten"], ["8:30", "half past nine"])
    expect(found.top.misreadings.map(&:id)).to eq(%i[next_hour_early to_with_passed_hour])
    expect(found.verdict).to eq("likely")
  end

  it "lets old answers weigh less: half after 21 days" do
    wrong = ["7:45", "quarter to seven"]
    right = ["10:45", "quarter to eleven"]
    older = ->(days) { diagnose(wrong, right, right, ages: [days, 0, 0]).probability(misreading(:to_with_passed_hour)) }
    expect([older[0], older[21], older[84], older[400]]).to eq([older[0], older[21], older[84], older[400]].sort.reverse)
    expect(older[400]).to be < 0.05
  end

  # Planted misreadings, found again from the answers of a made-up child.
  task = Vantick::Core::Task.find(:dial_to_words)
  Vantick::Core::Misreading.for(task).each do |planted|
    it "finds #{planted.id} again from eight answers, and calls it likely" do
      shown = Vantick::Core::Chooser.choose(step: step(:minutes), task:, count: 8, seed: 4).times
      child = Vantick::Core::SimulatedChild.new(misreadings: [planted], seed: 2)
      found = described_class.new(shown.map { |one| Vantick::Core::Marker.mark(task:, time: one, text: child.answer(one, task)) })
      expect([found.verdict, found.top.misreadings]).to eq(["likely", [planted]])
    end
  end

  describe Vantick::Core::NextBest do
    def next_best(diagnosis, step_id = :quarters) = described_class.time(diagnosis, task("dial_to_words"), step(step_id).pool)

    it "asks where the states that are left would answer differently" do
      undecided = diagnose(["7:45", "quarter to seven"], ["3:30", "half past four"])
      shares = undecided.states
      best = described_class.expected_fall(shares, next_best(undecided), task("dial_to_words"))
      falls = step(:quarters).pool.map { |shown| described_class.expected_fall(shares, shown, task("dial_to_words")) }
      expect(best).to be_within(0.01).of(falls.max)
    end

    # Worked by hand: secure and one misreading, even odds; the answer is 0.95 or 0.10 right, 0.85 as
    # predicted, 0.05 other. Entropy falls from 1 bit by 1 - (0.525 H(0.95 : 0.10) + 0.05 * 1) bits.
    it "expects the fall in entropy that the numbers give" do
      shares = { Vantick::Core::State::SECURE => 0.5, Vantick::Core::State.new(:misreading, [misreading(:to_with_passed_hour)]) => 0.5 }
      bits = ->(part) { (-part * Math.log2(part)) - ((1 - part) * Math.log2(1 - part)) }
      expect(described_class.expected_fall(shares, time("7:45"), task("dial_to_words")))
        .to be_within(1e-6).of(1 - ((0.525 * bits[0.475 / 0.525]) + 0.05))
      expect(described_class.expected_fall(shares, time("3:15"), task("dial_to_words"))).to be_within(1e-9).of(0)
    end

    it "has nothing to ask where nothing is left" do
      expect(described_class.time(diagnose, task("dial_to_words"), [])).to be_nil
    end
  end
end
