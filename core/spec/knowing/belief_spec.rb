# frozen_string_literal: true

RSpec.describe Vantick::Core::Knowing::Belief do
  let(:knowing) { Vantick::Core::Knowing }

  def belief(*answers, day: 1)
    described_class.new.tap { |one| answers.each { |shown, text, task| one.answered(mark(task || :dial_to_words, shown, text), day) } }
  end

  def asking(kind, way) = Vantick::Core::Knowing::Asking.of(kind, way)

  def met(belief, kind, way = :say) = belief.met(asking(kind, way))

  # All sets at once: a place, whether words can be said at all and at half past, how careful the child is, and what the mistakes that can
  # show there do. Nothing is taken as if by itself.
  def exact(marked)
    item = knowing::Item.of(marked.task, marked.time)
    totals = Hash.new(0.0)
    sets.each do |place, way, own, slip|
      inside = knowing::Graph.holding(item.part).include?(place)
      whole = share(place, way, own, slip) * answer(marked, item, inside && way && own, slip[:chance])
      { all: 1, place: inside ? 1 : 0, way: way ? 1 : 0, own: own ? 1 : 0, slip: slip[:chance] }.each do |key, part|
        totals[key] += whole * part
      end
    end
    totals.transform_values { |total| total / totals[:all] }
  end

  def sets
    knowing::Graph.begin.each_index.to_a.product([true, false], [true, false], knowing::TABLE[:slips])
  end

  def share(place, way, own, slip)
    say, alone = knowing::TABLE.then { |table| [table[:ways][:say], table[:own]] }
    knowing::Graph.begin[place] * (way ? say : 1 - say) * (own ? alone : 1 - alone) * slip[:share]
  end

  # How likely that answer is: by a mistake that shows, or else by what is known.
  def answer(marked, item, known, slip)
    shows = item.mistakes.to_h { |at| [at, knowing::Mistakes.begin[at] * knowing::TABLE[:mistakes][:shows]] }
    none = shows.values.reduce(1.0) { |left, show| left * (1 - show) }
    hits = knowing::Mistakes.places(marked.misreadings) & shows.keys
    (none * plain(marked, item, known, slip)) + hits.sum { |at| shows[at] * item.each_of(at) }
  end

  def plain(marked, item, known, slip)
    return item.unknown(marked) unless known

    marked.read_right? ? 1 - slip : slip * item.slip_share(marked)
  end

  # The approximation is exact for one answer but for which of two mistakes gives it; nothing is learned by an answer here.
  { "right" => "half past three", "explained by nothing" => "twenty past seven", "of a mistake" => "half past four" }.each do |what, text|
    it "is Bayes' rule over all sets at once for one answer that is #{what}" do
      stub_const("#{knowing}::Following::LEARN", knowing::Following::LEARN.merge(answer: 0.0))
      stub_const("#{knowing}::Skills::KEPT", 1.0)
      marked = mark(:dial_to_words, "3:30", text)
      found = described_class.new
      found.answered(marked, 1)
      wanted = exact(marked)
      expect(found.reach(:half_past)).to be_within(0.01).of(wanted[:place])
      expect(found.slip).to be_within(0.01).of(wanted[:slip])
      expect(met(found, :half_past)).to be_within(0.06).of(wanted[:place] * wanted[:way] * wanted[:own])
    end
  end

  it "takes a right answer for all that it rests on" do
    fresh = belief
    after = belief(["6:43", "seventeen minutes to seven"])
    %i[oclock half_past quarter_past quarter_to fives_past fives_to minutes_past minutes_to].each do |kind|
      expect(met(after, kind)).to be > met(fresh, kind)
    end
    twelve = Vantick::Core::Choosing::Chooser.choose(step: step(:minutes), task: task(:dial_to_words), count: 12, seed: 1).times
    sure = belief(*twelve.map { |one| [one.to_s, Vantick::Core::Wording::Phrase.usual(one)] })
    %i[oclock quarter_to fives_to minutes_to].each { |kind| expect(met(sure, kind)).to be > 0.95 }
  end

  # Who names the hour that has passed still knows its fives.
  it "takes a wrong answer that a mistake explains for the mistake, and hardly for more" do
    right = ["2:20", "twenty past two"], ["4:10", "ten past four"], ["9:25", "twenty-five past nine"]
    passed = ["2:40", "twenty to two"], ["4:50", "ten to four"], ["9:35", "twenty-five to nine"]
    other = ["2:40", "quarter past six"], ["4:50", "half past one"], ["9:35", "two o'clock"]
    by_mistake = belief(*right, *passed)
    by_nothing = belief(*right, *other)
    expect(by_mistake.mistake(misreading(:to_with_passed_hour))).to be > 0.9
    expect(by_nothing.mistake(misreading(:to_with_passed_hour))).to be < 0.05
    expect(met(by_mistake, :fives_past)).to be > 0.9
    expect(by_mistake.shown(asking(:fives_to, :say))).to be < 0.3
    expect(by_mistake.shown(asking(:fives_to, :write))).to be > by_mistake.shown(asking(:fives_to, :say))
    expect(met(by_mistake, :fives_past)).to be > met(by_nothing, :fives_past)
  end

  it "counts unreadable answers for nothing, and empty places for a little" do
    fresh = belief
    expect(met(belief(["3:30", "scribble"]), :half_past)).to eq(met(fresh, :half_past))
    empty = belief(["3:30", ""])
    wrong = belief(["3:30", "twenty past seven"])
    expect(met(empty, :half_past)).to be_between(met(wrong, :half_past), met(fresh, :half_past)).exclusive
  end

  it "learns in a lesson, less where what it rests on is not known, and by half what it exercises" do
    after = ->(id) { described_class.new.tap { |one| one.taught(step(id), 1) } }
    gains = %i[oclock minutes_to].to_h { |kind| [kind, met(after[kind], kind) - met(belief, kind)] }
    expect(gains[:oclock]).to be > gains[:minutes_to]
    expect(gains.values).to all(be_positive)
    expect(after[:half_past].reach(:hour_hand)).to be > belief.reach(:hour_hand)
    expect(met(after[:quarters], :half_past)).to be < met(after[:half_past], :half_past)
  end

  it "keeps what went right on more days for longer, and half is left after a half-life" do
    once = belief(["3:30", "half past three"])
    thrice = described_class.new.tap { |one| [1, 3, 5].each { |day| one.answered(mark(:dial_to_words, "3:30", "half past three"), day) } }
    asked = asking(:half_past, :say)
    expect(thrice.half(asked)).to be > once.half(asked)
    expect(once.fresh(asked, 1 + once.half(asked))).to be_within(1e-9).of(0.5)
    later = mark(:dial_to_words, "3:30", "half past three")
    expect(once.chance_of_right(later.task, later.time, 100)).to be < once.chance_of_right(later.task, later.time, 2)
  end

  it "believes a teacher about as much as four answers, of one step and of what it rests on" do
    said = ->(known) { described_class.new.tap { |one| one.judged(step(:quarters), known, 1) } }
    expect(met(said[true], :quarter_to)).to be > 0.9
    expect(met(said[true], :half_past)).to be > 0.9
    expect(met(said[true], :minutes_to)).to be < 0.6
    expect(met(said[false], :quarter_to)).to be < 0.05
    expect(met(said[false], :oclock)).to be > 0.1
  end

  it "takes halves of the day for themselves, with even chances for who does not know" do
    at = Vantick::Core::Dial::DayTime.parse("15:00")
    right = described_class.new.tap do |one|
      one.answered(Vantick::Core::Marking::Marker.mark(task: task(:day_half), time: at, text: "p.m."), 1)
    end
    expect(met(right, :day_halves, :day)).to be > met(belief, :day_halves, :day)
    expect(met(right, :day_halves, :day) - met(belief, :day_halves, :day)).to be < 0.3
    expect(Vantick::Core::Knowing::Item.of(task(:day_half), at).guess).to eq(0.5)
  end

  it "expects what comes out: between nothing and one, more after right answers" do
    random = Random.new(4)
    found = described_class.new
    80.times do |day|
      time = step(:fives).pool.sample(random:)
      task = task(%i[dial_to_words dial_to_digital words_to_dial].sample(random:))
      chance = found.chance_of_right(task, time, day)
      expect(chance).to be_between(0, 1)
      text = task.write(task.right_answer(random.rand < 0.7 ? time : step(:fives).pool.sample(random:)))
      found.answered(Vantick::Core::Marking::Marker.mark(task:, time:, text:), day)
    end
    expect(Vantick::Core::Knowing::Graph::PARTS.map { |part| found.reach(part) }).to all(be_between(0, 1 + 1e-9))
  end

  # A quarter of the guesses are answers that some mistake leads to, shared out among them; all others share the rest.
  it "shares out what one who doesn't know may answer between what mistakes lead to and all else" do
    item = Vantick::Core::Knowing::Item.of(task(:dial_to_words), time("2:45"))
    foreseen, other, right = ["quarter to two", "five past nine", "quarter to three"].map { |text| mark(:dial_to_words, "2:45", text) }
    expect([foreseen, other].map { |one| one.misreadings.any? }).to eq([true, false])
    led_to = Vantick::Core::Reading::Predictions.of(task(:dial_to_words)).count(time("2:45"))
    others = Vantick::Core::Judging::Likelihood.others(task(:dial_to_words))
    expect(item.unknown(right)).to be_within(1e-9).of(0.15)
    expect(item.unknown(foreseen) * led_to).to be_within(1e-9).of(0.85 * 0.25)
    expect(item.unknown(other) * others).to be_within(1e-9).of(0.85 * 0.75)
    expect(item.unknown(right, helped: true)).to be_within(1e-9).of(0.6)
  end
end
