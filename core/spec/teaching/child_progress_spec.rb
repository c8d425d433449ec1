# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::ChildProgress do
  let(:core) { Vantick::Core }
  let(:words) { task(:dial_to_words) }

  def asked(id, text, answer, day, with = words)
    at = with.parse_time(text)
    marked = Vantick::Core::Marking::Marker.mark(task: with, time: at, text: answer == :right ? with.write(with.right_answer(at)) : answer)
    Vantick::Core::Curriculum::ItemResponse.new(step: step(id), marked:, day:)
  end

  def right(id, texts, days, with = words) = texts.zip(days.cycle).map { |text, day| asked(id, text, :right, day, with) }

  # In words and in digits, on some days.
  def both(id, texts, days)
    by_day = days.flat_map { |day| [day] * (texts.length / days.length) }
    [words, task(:dial_to_digital)].flat_map { |with| right(id, texts, by_day, with) }.sort_by.with_index { |one, at| [one.day, at] }
  end

  def progress(answers, today: 10) = described_class.new(answers, today:)

  quarters = %w[1:00 2:15 3:30 4:45 5:00 6:15 7:30 8:45 9:00 10:15 11:30 12:45 2:00 3:15 4:30 5:45]

  in_fives = %w[1:05 2:10 3:20 4:25 5:35 6:40 7:50 8:55 9:15 10:30 11:45 12:00]

  it "counts an answer for its step, and for those below whose times hold it" do
    states = progress(both(:quarters, quarters, [1, 2])).states
    expect(states.values_at(step(:quarters), step(:half_past), step(:hour_hand))).to all(eq(:secure))
    expect(states.values_at(step(:fives), step(:fives_facts), step(:day_halves))).to all(eq(:not_yet))
  end

  it "counts what is asked of one hand where that is learned, and for no whole time" do
    states = progress(right(:minutes, %w[3:44 4:10 5:31 6:20 7:05 8:50 9:15 10:25], [1, 2], task(:hour_only))).states
    expect(states[step(:hour_hand)]).to eq(:secure)
    expect(states.except(step(:hour_hand), step(:oclock)).values.uniq).to eq([:not_yet])
  end

  it "wants words and digits, and says which was never asked" do
    given = progress(right(:quarters, quarters * 3, ([1] * 16) + ([2] * 16) + ([3] * 16)))
    expect(given.states[step(:quarters)]).to eq(:nearly)
    expect(given.ways(step(:quarters))).to eq(say: :secure, write: :not_asked, set: :not_asked)
    expect(progress(both(:quarters, quarters, [1, 2])).ways(step(:quarters))).to eq(say: :secure, write: :secure, set: :not_asked)
  end

  it "calls no whole secure of which a part is not: both say the same" do
    wrong = %w[9:45 10:45 3:45 4:45].each_with_index.map { |text, at| asked(:quarters, text, "ten past two", 3 + at) }
    shaky = both(:quarters, quarters, [1, 2]) + wrong
    states = progress(shaky).states
    expect(states[step(:quarter_to)]).not_to eq(:secure)
    expect(states[step(:quarters)]).to eq(states[step(:quarter_to)])
    random = Random.new(2)
    50.times do
      given = Array.new(30) { |at| asked(:quarters, quarters.sample(random:), random.rand < 0.85 ? :right : "ten past two", at / 10) }
      found = progress(given).states
      next unless found[step(:quarters)] == :secure

      expect(step(:quarters).parts.map { |part| found[part] }).to all(eq(:secure))
    end
  end

  it "keeps a state as days go by, and marks it for review" do
    given = both(:quarters, quarters, [1, 2])
    soon, later, long = [4, 60, 400].map { |today| progress(given, today:) }
    expect([soon, later, long].map { |one| one.states[step(:quarters)] }.uniq).to eq([:secure])
    expect([soon, later, long].map { |one| one.review_due.include?(step(:quarters)) }).to eq([false, true, true])
  end

  # Asked once in the first week, when it was new, and never again.
  it "takes what went wrong once for known when what rests on it went right since" do
    early = %w[1:00 4:00 7:00 9:00].map { |text| asked(:oclock, text, "ten past two", 1) }
    later = both(:half_past, %w[1:30 2:30 3:30 4:30 5:30 6:30 7:30 8:30 9:30 10:30], [5, 6])
    expect(progress(early).shown?(step(:oclock))).to be(false)
    expect(progress(early + later).shown?(step(:oclock))).to be(true)
    again = %w[2:00 5:00 8:00].map { |text| asked(:oclock, text, "ten past two", 8) }
    expect(progress(early + later + again).shown?(step(:oclock))).to be(false)
  end

  it "takes whole dials off the quarters, read rightly, for the numerals" do
    wrong = %w[12:20 12:35 12:40 12:50].map { |text| asked(:fives_facts, text, "3", 1, task(:numeral_to_minutes)) }
    fives = right(:fives_past, %w[1:10 2:20 3:05 4:25 5:10], [3])
    expect(progress(wrong).shown?(step(:fives_facts))).to be(false)
    expect(progress(wrong + fives).shown?(step(:fives_facts))).to be(true)
    expect(progress(wrong + right(:quarters, quarters, [3])).shown?(step(:fives_facts))).to be(false)
  end

  it "goes on with the lowest step not shown: no slip holds it, nothing missed is skipped, what rests on it shows it" do
    given = right(:quarters, quarters, [1, 2])
    expect(progress(given).next_step).to eq(step(:fives_facts))
    expect(progress(right(:quarters, quarters, [1]) + [asked(:quarters, "3:30", "ten past two", 1)]).next_step).to eq(step(:fives_facts))
    wrong = [asked(:quarters, "9:45", "quarter to nine", 3), asked(:quarters, "10:45", "quarter to ten", 3)]
    expect(progress(given + wrong).next_step).to eq(step(:quarter_to))
    expect(progress([]).next_step).to eq(core::Curriculum::Step.with_times.first)
    expect(progress(given).next_step(limit: step(:half_past))).to eq(step(:half_past))
    expect(progress(given, today: 400).next_step).to eq(step(:fives_facts))
  end

  it "goes on with what is likely the next one: not known, on what is known, and the lowest of those as likely" do
    random = Random.new(4)
    20.times do
      given = Array.new(30) { |at| asked(:fives, in_fives.sample(random:), random.rand < 0.7 ? :right : "ten past two", at / 10) }
      found = progress(given)
      open = Vantick::Core::Curriculum::Step.with_times.reject { |step| found.shown?(step) || !step.leads_on? }
      worth = open.to_h { |one| [one, found.expected.next_up(one)] }
      expect(found.next_step).to eq(open.find { |one| worth[one] >= 0.7 * worth.values.max })
    end
  end

  # From four answers on, two of them wrong and more than a fifth: at the bounds and just beside them.
  {
    [2, 2] => true, [1, 2] => false, [3, 1] => false, [8, 2] => false, [7, 2] => true, [7, 3] => true
  }.each do |(rights, wrongs), stumbles|
    it "#{stumbles ? 'tells' : 'tells nothing'} of #{rights} right and #{wrongs} wrong answers on a step" do
      times = %w[1:30 2:30 3:30 4:30 5:30 6:30 7:30 8:30 9:30 10:30]
      given = right(:half_past, times.first(rights), [1]) + times.last(wrongs).map { |text| asked(:half_past, text, "ten past one", 1) }
      expect(progress(given).stumbles.include?(step(:half_past))).to eq(stumbles)
    end
  end

  it "keeps what nothing rests on for the end" do
    found = progress(both(:quarters, quarters, [1, 2]))
    expect(found.shown?(step(:day_halves))).to be(false)
    expect(found.next_step).not_to eq(step(:day_halves))
  end

  describe Vantick::Core::Teaching::ClassProgress do
    def progress(by_child, lessons: [])
      given = lessons.map { |id, day| Vantick::Core::Teaching::SchemeOfWork::GivenLesson.new(step: step(id), day:) }
      described_class.new(by_child, today: 10, record: Vantick::Core::Teaching::ClassRecord.new(lessons: given))
    end

    let(:known) { right(:quarters, quarters, [1, 2]) }
    let(:lost) { [asked(:quarters, "9:45", "quarter to nine", 3), asked(:quarters, "10:45", "quarter to ten", 3)] }

    it "counts children by state, all of them" do
      found = progress({ anneke: known, bram: [], celyn: [] })
      expect(found.counts(step(:quarters))).to eq(secure: 0, nearly: 1, learning: 0, not_yet: 2)
    end

    it "proposes nothing for a class because of one child" do
      few = (1..9).to_h { |number| [number, known] }
      expect(progress(few.merge(bram: lost)).next_step.step).to eq(progress(few).next_step.step)
      one_minute = { **few, bram: known + right(:minutes, %w[4:44], [3]) }
      expect(progress(one_minute).next_step.step).not_to eq(step(:day_halves))
    end

    it "takes up with each child what is next for it, at most one step above the class" do
      found = progress({ anneke: known, bram: [], celyn: [] }, lessons: [[:oclock, 1]])
      expect(found.next_for(:anneke)).to eq(step(:half_past))
      expect(found.next_for(:bram)).to eq(step(:hour_hand))
    end

    it "leaves children who only go on to themselves, and names a misreading that they are likely to have" do
      found = progress({ anneke: known, bram: known + (lost * 2) }).known.to_h { |one| [one.key, one] }
      expect(found[:anneke]).to have_attributes(going_on: true, misreading: nil)
      expect(found[:bram]).to have_attributes(going_on: false, misreading: misreading(:to_with_passed_hour))
    end
  end
end
