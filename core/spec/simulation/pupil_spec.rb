# frozen_string_literal: true

# A made-up child that learns and forgets otherwise than any rule assumes. What it does is compared with what its own numbers say.
RSpec.describe Vantick::Core::Simulation::Pupil do
  let(:half_past) { step(:half_past) }
  let(:words) { task(:dial_to_words) }

  def pupil(seed = 1, kind: :usual, **how) = described_class.new(kind, Random.new(seed), Vantick::Core::Simulation::Traits.new(**how))

  # @return [Float] the share of many of whom it is so
  def share(count = 400, **how) = (1..count).count { |seed| yield pupil(seed, **how) } / count.to_f

  it "is the same for the same seed" do
    told = Array.new(2) do
      child = pupil(5)
      (1..30).each { |day| child.lesson(half_past, day) }
      [child.recall(:half_past, 40), child.misreadings.map(&:id), child.answer(time("3:30"), words, 40)]
    end
    expect(told.first).to eq(told.last)
  end

  it "is of a class: those ahead know more at the beginning than those behind" do
    known = %i[behind usual ahead].map { |kind| share(kind:) { |child| child.recall(:half_past, 0).positive? } }
    expect(known).to eq(known.sort)
    expect(known.last - known.first).to be > 0.2
  end

  it "learns more often the quicker it is, and more where it knows what that rests on" do
    slow, quick = [0.2..0.21, 0.6..0.61].map do |rates|
      share(rates:, kind: :behind) do |child|
        child.lesson(step(:oclock), 1)
        child.recall(:oclock, 1).positive?
      end
    end
    expect(quick).to be > slow + 0.25
    bare, ready = [false, true].map do |before|
      share(rates: 0.5..0.51, kind: :behind) do |child|
        (1..12).each { |day| [step(:hour_hand), step(:oclock)].each { |below| child.lesson(below, day) } } if before
        child.lesson(half_past, 13)
        child.recall(:half_past, 13).positive?
      end
    end
    expect(ready).to be > bare + 0.1
  end

  it "forgets half in a half-life, or by a power of time" do
    by_half, by_power = [0.0, 1.0].map do |power|
      child = pupil(3, half: 20..20, power:, rates: 0.99..0.99)
      (1..9).each { |day| child.lesson(step(:oclock), day) }
      child
    end
    start = by_half.recall(:oclock, 9)
    late, later = [40, 400].map { |day| by_half.recall(:oclock, day) }
    expect([start, late, later]).to eq([start, late, later].sort.reverse)
    expect(by_power.recall(:oclock, 2_000)).to be > by_half.recall(:oclock, 2_000)
  end

  it "keeps no longer than it may, however often it is practised" do
    child = pupil(2, half: 10..10, longest: 15.0, power: 0.0, rates: 0.99..0.99)
    (1..80).each { |day| child.practice(:oclock, day, helped: 0.9) }
    expect(child.recall(:oclock, 95)).to be_within(1e-6).of(0.5)
  end

  it "answers by its misreading more often than not, and rightly where that tells nothing and it knows" do
    child = pupil(4, misreadings: %i[to_with_passed_hour], rates: 0.99..0.99, half: 900..900, longest: 900.0, unlearns: 0.0)
    (1..40).each { |day| %i[oclock half_past quarter_past quarter_to].each { |id| child.lesson(step(id), day) } }
    wrong = Vantick::Core::Reading::Predictions.of(words).wrong_answers(misreading(:to_with_passed_hour), time("7:45"))
    said = Array.new(200) { child.answer(time("7:45"), words, 40) }
    expect(said.count { |one| wrong.include?(one) } / 200.0).to be_within(0.12).of(described_class::CONSISTENCY)
    expect(Array.new(200) { child.answer(time("7:30"), words, 40) }.count(words.right_answer(time("7:30"))) / 200.0).to be > 0.85
    expect(child.knows?(step(:quarter_to), 40)).to be(false)
    expect(child.knows?(half_past, 40)).to be(true)
  end

  it "gives a misreading up in lessons on what it hinders, the sooner the readier it is" do
    left = [0.1, 1.0].map do |unlearns|
      share(200, misreadings: %i[to_with_passed_hour], unlearns:) do |child|
        (1..4).each { |day| child.lesson(step(:quarter_to), day) }
        child.misreadings.any?
      end
    end
    expect(left.first).to be > left.last + 0.3
  end
end
