# frozen_string_literal: true

# Children who answer as they are simulated to, task after task.
RSpec.describe Vantick::Core::Desk::NextTurn do
  steps = Vantick::Core::Teaching::Step.with_times

  # What a child answers, as text, where every misreading of theirs shows.
  def said(turn, time, misreading)
    return "#{turn.mistake.id}; #{Vantick::Core::Wording::Phrase.usual(time)}" if turn.mistake

    wrong = misreading ? misreading.wrong_answers(time, turn.task) : []
    turn.task.write(wrong.first || turn.task.right_answer(time))
  end

  def marked(turn, misreading = nil)
    turn.times.map do |time|
      Vantick::Core::Marking::Marker.mark(task: turn.task, time:, text: said(turn, time, misreading), said: turn.said&.words)
    end
  end

  # @return [Array<Turn>]
  def sitting(step, count: 24, seed: 5, misreading: nil, **known)
    learner = Vantick::Core::Desk::Learner.new(step:, **known)
    (1..count).map do |number|
      turn = described_class.for(learner, seed: seed + number)
      learner = learner.asked(turn).after(marked(turn, misreading))
      turn
    end
  end

  it "keeps away from the times that are held ready for later" do
    learner = Vantick::Core::Desk::Learner.new(step: Vantick::Core::Teaching::Step.find(:quarters))
    beside = described_class.ahead(learner, count: 4, seed: 9).flat_map(&:times)
    chosen = (1..40).flat_map { |seed| described_class.for(learner, seed:, beside:).times }
    expect(chosen & beside).to be_empty
  end

  steps.each do |step|
    it "asks about #{step.name.downcase} with times and tasks of it, no time twice running, all of its tasks in turn" do
      turns = sitting(step)
      expect(turns.map(&:task)).to all(satisfy { |task| step.tasks.include?(task) })
      turns.each { |turn| expect(turn.task.times).to include(*turn.times) }
      expect(turns.flat_map(&:times).each_cons(2).map { |one, other| one == other }).to all(be(false))
      expect(turns.map(&:task).uniq).to match_array(Vantick::Core::Desk::DeskTask.of(step).map(&:task))
    end
  end

  it "is the same for the same seed, and another for another" do
    fives = step(:fives)
    plain = ->(turns) { turns.map { |turn| [turn.task.id, turn.times] } }
    once, again, other = [5, 5, 99].map { |seed| plain[sitting(fives, seed:)] }
    expect(again).to eq(once)
    expect(other).not_to eq(once)
  end

  it "begins with what tells, and once a misreading is likely asks where it shows" do
    against = misreading(:to_with_passed_hour)
    turns = sitting(step(:quarters), misreading: against)
    expect(turns.first.reason).to eq(:tells)
    helping = turns.select { |turn| turn.reason == :helps }
    expect(helping.length).to be >= 6
    expect(helping.map(&:against).uniq).to eq([against])
    expect(helping).to all(satisfy { |turn| turn.times.all? { |time| against.chance?(time, turn.task) } })
  end

  it "asks first for what the child may be losing, of what it knows" do
    words = task(:dial_to_words)
    answers = %w[3:30 4:30 5:00 6:00].map do |text|
      Vantick::Core::Marking::Marker.mark(task: words, time: time(text), text: words.write(words.right_answer(time(text))))
    end
    known = lambda do |*review_due|
      learner = Vantick::Core::Desk::Learner.new(step: step(:quarters), answers:, review_due: review_due.map { |id| step(id) })
      learner.known.map { |_, at| at.to_s }
    end
    expect(known.call).to eq(%w[3:30 4:30 5:00 6:00])
    expect(known.call(:oclock)).to eq(%w[5:00 6:00 3:30 4:30])
    expect(known.call(:hour_hand)).to eq(%w[3:30 4:30 5:00 6:00])
  end

  it "does not help twice running, and puts something known in between" do
    turns = sitting(step(:quarters), misreading: misreading(:to_with_passed_hour))
    expect(turns.each_cons(2).count { |pair| pair.all? { |turn| turn.reason == :helps } }).to eq(0)
    fourths = turns.each_slice(described_class::KNOWN_EVERY).map(&:last)
    expect(fourths.map(&:reason)).to include(:known)
    expect(turns.select { |turn| turn.reason == :known }).to all(satisfy { |turn| marked(turn).all?(&:right?) })
  end

  it "tells more by what it asks than times drawn by lot" do
    quarters = step(:quarters)
    words = task(:dial_to_words)
    telling = Vantick::Core::Choosing::Telling.for(quarters, words)
    shares = { Vantick::Core::Judging::State::SECURE => 0.5, **telling.misreadings.to_h do |one|
      [Vantick::Core::Judging::State.new(:misreading, [one]), 0.05]
    end }
    fall = ->(time) { Vantick::Core::Judging::NextBest.expected_fall(shares, time, words) }
    asked = (1..40).map { |seed| described_class.for(Vantick::Core::Desk::Learner.new(step: quarters), seed:).times.first }
    expect(asked.sum(&fall) / asked.length).to be > (quarters.pool.sum(&fall) / quarters.pool.length) * 1.1
  end

  it "asks for the class's own day, with noon and midnight" do
    day = [{ time: "07:50", what: "the ferry leaves" }, { time: "16:30", what: "choir" }]
    own = Vantick::Core::Desk::DayPlace.times(day)
    expect(own.map(&:to_s)).to eq(%w[00:00 07:50 12:00 16:30])
    asked = sitting(step(:day_halves), count: 12, day_times: own).flat_map(&:times)
    expect(asked).to include(Vantick::Core::Dial::DayTime.parse("07:50"))
  end

  it "knows tasks ahead for when there is no network, no time twice" do
    steps.each do |step|
      turns = described_class.ahead(Vantick::Core::Desk::Learner.new(step:), count: 5, seed: 3)
      expect(turns.map(&:reason)).to all(eq(:practises))
      expect(turns.flat_map(&:times).each_cons(2)).to all(satisfy { |one, other| one != other })
      expect(turns.length).to eq(5)
    end
  end

  it "makes matching a matter of both hands: each clock has a near miss beside it" do
    turn = sitting(step(:fives)).find { |one| one.task.id == :match }
    expect(turn.times.length).to eq(described_class::PAIRS)
    near = ->(one, other) { one != other && (one.hour == other.hour || one.minute == other.minute) }
    expect(turn.times).to all(satisfy { |time| turn.times.any? { |other| near[time, other] } })
  end
end
