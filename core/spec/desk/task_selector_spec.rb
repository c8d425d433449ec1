# frozen_string_literal: true

# Children who answer as they are simulated to, task after task.
RSpec.describe Vantick::Core::Desk::TaskSelector do
  steps = Vantick::Core::Curriculum::Step.with_times

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

  # An answer that nothing explains.
  def lost(turn)
    turn.times.map { |time| Vantick::Core::Marking::MarkedAnswer.new(task: turn.task, time:, verdict: :unexplained) }
  end

  # @return [Array<Turn>]
  def sitting(step, count: 24, seed: 5, misreading: nil, **known)
    learner = Vantick::Core::Desk::Learner.new(step:, **known)
    (1..count).map do |number|
      turn = described_class.for(learner, seed: seed + number)
      learner = learner.with_turn(turn).after(marked(turn, misreading))
      turn
    end
  end

  it "keeps away from the times that are held ready for later" do
    learner = Vantick::Core::Desk::Learner.new(step: Vantick::Core::Curriculum::Step.find(:quarters))
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

  describe "with help on the clock" do
    states = ->(state) { steps.to_h { |step| [step, state] } }

    # Level, and how many right ones running it takes until help is gone.
    { learning: 2, not_yet: 2, nearly: 1, secure: 0 }.each do |state, right|
      it "has it on the first #{right} tasks of a child who is #{state} and gets all right, and on the next after a wrong one" do
        learner = Vantick::Core::Desk::Learner.new(step: step(:fives_to), states: states[state])
        helped = (1..6).map do |number|
          turn = described_class.for(learner, seed: number)
          learner = learner.with_turn(turn).after(marked(turn))
          turn.helped if Vantick::Core::Choosing::Support.of(turn.step, turn.task).any? && turn.step == learner.step
        end
        expect(helped.drop(right).compact.uniq - [false]).to eq([])
        expect(helped.first(right).compact.uniq - [true]).to eq([])
        wrong = described_class.for(learner, seed: 9)
        after = described_class.for(learner.with_turn(wrong).after(lost(wrong)), seed: 10)
        expect(after.helped).to be(right.positive?) if Vantick::Core::Choosing::Support.of(step(:fives_to), after.task).any?
      end
    end

    it "has none where nothing is known of the child, where help would be the answer, and in what is kept ahead" do
      plain = Vantick::Core::Desk::Learner.new(step: step(:fives_to))
      expect(described_class.for(plain, seed: 1).helped).to be(false)
      hour = Vantick::Core::Desk::Learner.new(step: step(:hour_hand), states: states[:learning])
      expect(described_class.for(hour, seed: 1).helped).to be(false)
      learner = Vantick::Core::Desk::Learner.new(step: step(:fives_to), states: states[:learning])
      expect(described_class.ahead(learner, count: 4, seed: 1).map(&:helped)).to eq([false] * 4)
    end
  end

  describe "for a class that was taught up to fives past" do
    ceiling = Vantick::Core::Curriculum::Step.find(:fives_past)
    ladder = steps.take(steps.index(ceiling) + 1)

    it "goes on to the next step after three right in a row, of two kinds, and never above what was taught" do
      [3, 8, 21].each do |seed|
        found = sitting(step(:half_past), seed:, count: 40, ceiling:).map(&:step)
        own = found.select { |one| ladder.index(one) >= ladder.index(step(:half_past)) }
        expect(own.first(3)).to eq([step(:half_past)] * 3)
        expect(own.first(10).uniq.length).to be_between(2, 4)
        expect(found - ladder).to eq([])
        expect(found.last(8)).to include(ceiling)
      end
    end

    it "stays where one in three is wrong, and where a teacher chose the step" do
      learner = Vantick::Core::Desk::Learner.new(step: step(:half_past), ceiling:)
      (1..12).each do |number|
        turn = described_class.for(learner, seed: number)
        learner = learner.with_turn(turn).after((number % 3).zero? ? lost(turn) : marked(turn))
      end
      expect(learner.step).to eq(step(:half_past))
      expect(sitting(step(:half_past), count: 20).map(&:step).uniq).to eq([step(:half_past)])
    end

    # Whoever is always wrong: never the same way of asking three times running, and down to the lowest step.
    it "comes down to the first step for a child who is lost, in other ways than before" do
      [2, 5, 9].each do |seed|
        learner = Vantick::Core::Desk::Learner.new(step: step(:fives_past), ceiling:)
        turns = (1..12).map do |number|
          turn = described_class.for(learner, seed: (seed * 100) + number)
          learner = learner.with_turn(turn).after(lost(turn))
          turn
        end
        lower = turns.select { |turn| turn.reason == :known }
        expect(lower.map { |turn| turn.step.id }.uniq).to eq([:oclock])
        expect(turns.map { |turn| turn.task.id }.each_cons(3).map { |some| some.uniq.length }.min).to be >= 2
        expect(lower.map { |turn| turn.task.id }.uniq.length).to be >= 2
      end
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
    telling = Vantick::Core::Choosing::Discrimination.for(quarters, words)
    shares = { Vantick::Core::Judging::State::SECURE => 0.5, **telling.misreadings.to_h do |misreading|
      [Vantick::Core::Judging::State.new(:misreading, [misreading]), 0.05]
    end }
    fall = ->(time) { Vantick::Core::Judging::ItemSelection.expected_fall(shares, time, words) }
    asked = (1..40).map { |seed| described_class.for(Vantick::Core::Desk::Learner.new(step: quarters), seed:).times.first }
    expect(asked.sum(&fall) / asked.length).to be > (quarters.pool.sum(&fall) / quarters.pool.length) * 1.1
  end

  it "asks for the class's own day, with noon and midnight" do
    day = [{ time: "07:50", what: "the ferry leaves" }, { time: "16:30", what: "choir" }]
    own = Vantick::Core::Wording::DayPlace.times(day)
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
