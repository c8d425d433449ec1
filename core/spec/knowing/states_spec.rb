# frozen_string_literal: true

# What a teacher is told of children whose truth is known.
RSpec.describe Vantick::Core::Knowing::States do
  # @param right [Proc] of the number of an answer
  def answers(count, step: :quarters, tasks: %i[dial_to_words dial_to_digital], a_day: 6, random: Random.new(1))
    step = Vantick::Core::Curriculum::Step.find(step)
    Array.new(count) do |at|
      task = Vantick::Core::Tasks::Task.find(tasks[at / a_day % tasks.length])
      time = step.pool.sample(random:)
      said = yield(at) ? time : (step.pool - [time]).sample(random:)
      marked = Vantick::Core::Marking::Marker.mark(task:, time:, text: task.write(task.right_answer(said)))
      Vantick::Core::Curriculum::ItemResponse.new(step:, marked:, day: at / a_day * 3)
    end
  end

  def progress(given, today: given.last.day) = Vantick::Core::Teaching::ChildProgress.new(given, today:)

  def dated(given, day) = given.map { |one| one.dup.tap { |other| other.day = day } }

  [0.3, 0.4, 0.5].each do |share|
    it "never calls a child secure who gives any other time in #{(share * 100).round} of 100 answers" do
      secure = (1..60).count do |seed|
        random = Random.new(seed)
        wrong = (0...48).to_a.sample((48 * share).round, random:)
        progress(answers(48, random:) { |at| !wrong.include?(at) }).states.value?(:secure)
      end
      expect(secure).to be <= 1
    end
  end

  it "calls nearly all secure who are right in 97 of 100 answers" do
    secure = (1..30).count do |seed|
      random = Random.new(seed)
      wrong = (0...60).to_a.sample(2, random:)
      progress(answers(60, random:) { |at| !wrong.include?(at) }).states[step(:quarters)] == :secure
    end
    expect(secure).to be >= 27
  end

  it "takes one bad day after a hundred right answers for a bad day" do
    random = Random.new(3)
    good = answers(102, random:) { true }
    bad = dated(answers(8, random:) { false }, 60)
    after = dated(answers(12, random:) { true }, 63)
    states = [good, good + bad, good + bad + after].map { |given| progress(given).states[step(:quarters)] }
    expect([states.first, states.last]).to eq(%i[secure secure])
    expect(states[1]).not_to eq(:not_yet)
    expect(progress(good + bad).states[step(:oclock)]).not_to eq(:not_yet)
  end

  it "believes wrong answers to a baseline, on whatever day" do
    good = answers(102, random: Random.new(3)) { true }
    bad = dated(answers(8, random: Random.new(3)) { false }, 60)
    asked = bad.map { |one| one.dup.tap { |other| other.baseline = true } }
    states = [good + bad, good + asked].map { |given| progress(given).states[step(:quarters)] }
    expect(states).to eq(%i[secure learning])
  end

  it "does not flicker: one slip leaves what was secure" do
    given = answers(60) { true }
    slip = dated(answers(1, random: Random.new(9)) { false }, 40)
    expect(progress(given + slip).states[step(:quarters)]).to eq(:secure)
  end

  it "lets no state fall by days alone" do
    given = answers(40) { |at| at % 9 != 4 }
    (0..400).step(50) { |days| expect(progress(given, today: given.last.day + days).states).to eq(progress(given).states) }
  end

  it "calls nothing secure of which a likely mistake shows" do
    passed = %w[2:45 3:45 4:45 5:45 6:45 7:45].map do |shown|
      time = Vantick::Core::Dial::DialTime.parse(shown)
      text = "quarter to #{Vantick::Core::Wording::Phrase.usual(Vantick::Core::Dial::DialTime.at(time.hour, 0)).split.first}"
      Vantick::Core::Curriculum::ItemResponse.new(step: step(:quarters), marked: mark(:dial_to_words, shown, text), day: 70)
    end
    found = progress(answers(60) { true } + passed)
    expect(found.diagnosis.likely.map(&:id)).to eq([:to_with_passed_hour])
    expect(found.states[step(:quarters)]).not_to eq(:secure)
    expect(found.states[step(:half_past)]).to eq(:secure)
    expect([found.headline.kind, found.headline.misreading.id, found.headline.hits]).to eq([:behind, :to_with_passed_hour, 6])
  end

  it "calls no whole better than what it holds, and nothing not yet that was read through harder times" do
    40.times do |seed|
      random = Random.new(seed)
      id = %i[quarters fives minutes].sample(random:)
      found = progress(answers(30, step: id, random:) { random.rand < [0.5, 0.8, 1].sample(random:) })
      levels = found.states.transform_values { |state| described_class::ALL.index(state) }
      Vantick::Core::Curriculum::Step.with_times.each do |whole|
        whole.parts.each { |part| expect(levels[part]).to be >= levels[whole] }
        next if levels[whole] < described_class::NEARLY

        beneath = Vantick::Core::Curriculum::Step.with_times.select { |below| whole.foundations.include?(below) }
        beneath.each { |below| expect(levels[below]).to be_positive }
      end
    end
  end

  it "has one headline, and it is true" do
    expect(progress(answers(60) { true }).headline).to have_attributes(kind: :secure, step: step(:quarters))
    expect(progress(answers(6) { true }).headline).to have_attributes(kind: :nearly)
    expect(progress(answers(20, &:even?)).headline.kind).to eq(:no_pattern).or eq(:behind)
    expect(Vantick::Core::Teaching::ChildProgress.new([], today: 1).headline.kind).to eq(:none)
    expect(progress(answers(2) { false }).headline.kind).to eq(:few)
  end

  # Sixty right answers, in words or in words and digits; what a class wants; the state.
  [
    [%i[dial_to_words], :secure_both, :nearly],
    [%i[dial_to_words], :secure_words, :secure],
    [%i[dial_to_words], :secure_digits, :learning],
    [%i[dial_to_digital], :secure_digits, :secure],
    [%i[dial_to_words dial_to_digital], :secure_both, :secure],
    [%i[dial_to_words dial_to_digital], :secure_hands, :nearly],
    [%i[dial_to_words dial_to_digital digital_to_dial], :secure_hands, :secure]
  ].each do |tasks, choice, state|
    it "calls sixty right answers with #{tasks.join(', ')} #{state} where a class wants #{choice}" do
      given = answers(60, tasks:) { true }
      found = Vantick::Core::Teaching::ChildProgress.new(given, today: 40, wanted: described_class::CHOICES.fetch(choice))
      expect(found.states[step(:quarters)]).to eq(state)
      expect(found.secure_on(40).include?(step(:quarters))).to be(state == :secure)
    end
  end

  it "knows every choice that a class has" do
    expect(described_class::CHOICES.keys).to eq(Vantick::Core::Wording::Conventions::TABLE.fetch(:secure_means))
  end

  it "places a child who joins by two checks" do
    two = answers(5, step: :fives, a_day: 5, tasks: %i[dial_to_words]) { true } +
          dated(answers(5, step: :fives, a_day: 5, tasks: %i[dial_to_digital], random: Random.new(4)) { true }, 2)
    found = progress(two)
    ladder = Vantick::Core::Curriculum::Step.with_times
    expect(ladder.index(found.next_step)).to be >= ladder.index(step(:fives_past))
  end
end
