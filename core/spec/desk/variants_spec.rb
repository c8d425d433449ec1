# frozen_string_literal: true

# Two more ways to ask for hands on a clock: one to fix, and the right one among others.
RSpec.describe Vantick::Core::Desk::Variants do
  core = Vantick::Core
  task = core::Marking::Task.find(:words_to_dial)
  times = core::Dial::DialTime.all.select { |time| (time.index % 7).zero? || time.minute.zero? }

  def verdict(task, time, hands) = Vantick::Core::Marking::Marker.mark(task:, time:, text: hands.to_s).verdict

  # How far the nearer of two pairs of hands is, counted here by itself.
  def apart(one, other)
    %i[hour_degrees minute_degrees].map do |hand|
      off = (one.public_send(hand) - other.public_send(hand)).abs % 360
      [off, 360 - off].min
    end.max
  end

  it "has numbers and words from the table" do
    expect(described_class::TABLE.except(:kinds)).to eq(clocks: 4, apart_degrees: 20, beside_minutes: [60, -60, 15, -15])
    expect(described_class::ALL).to eq(%i[fix find])
  end

  it "offers four clocks at every time, one right, all told apart at a glance" do
    times.each do |time|
      clocks = described_class.clocks(task, time, seed: time.index)
      expect(clocks.count { |hands| verdict(task, time, hands) == :right }).to eq(1), time.to_s
      expect(clocks.combination(2).map { |pair| apart(*pair) }.min).to be >= 20
      expect(clocks.length).to eq(4)
    end
  end

  it "has the right clock in every place" do
    places = (0...60).map { |seed| described_class.clocks(task, times[9], seed:).index(task.right_answer(times[9])) }
    expect(places.tally.values.min).to be >= 6
  end

  it "starts with a clock that is wrong, of the mistake that it is asked against where that has one" do
    kept = core::Reading::Misreading.find(:to_hour_kept)
    quarter_to = core::Dial::DialTime.parse("6:45")
    expect(described_class.start(task, quarter_to, against: kept).to_s).to eq("hour=232.5 minute=270")
    expect(described_class.clocks(task, quarter_to, against: kept).map(&:to_s)).to include("hour=232.5 minute=270")
    times.each { |time| expect(verdict(task, time, described_class.start(task, time, seed: time.index))).not_to eq(:right) }
  end

  # A child who answers all in this way, from the first turn on.
  def sitting(answer, count: 40)
    learner = Vantick::Core::Desk::Learner.new(step: step(:quarters))
    (1..count).map do |seed|
      turn = Vantick::Core::Desk::NextTurn.for(learner, seed:)
      marked = turn.times.map do |time|
        Vantick::Core::Marking::Marker.mark(task: turn.task, time:, text: answer.call(turn.task, time), said: turn.said&.words)
      end
      learner = learner.asked(turn).after(marked)
      turn
    end
  end

  it "takes turns with setting both hands" do
    asked = sitting(->(of, time) { of.notation == :mistake ? "?" : of.write(of.right_answer(time)) })
    hands = asked.select { |turn| turn.task.notation == :hands && turn.reason != :known }
    expect(hands.map(&:variant).first(3)).to eq([nil, :fix, :find])
    expect(asked.reject { |turn| turn.task.notation == :hands }.filter_map(&:variant)).to eq([])
    expect(asked.select { |turn| turn.variant == :find }).to all(have_attributes(helped: true))
  end

  it "lets a child find the clock where much goes wrong" do
    asked = sitting(->(*) { "?" })
    expect(asked.select { |turn| turn.task.notation == :hands }.drop(1).map(&:variant).uniq).to eq([:find])
  end

  it "says in its own way what to look at" do
    marked = core::Marking::Marker.mark(task:, time: core::Dial::DialTime.parse("6:45"), text: "hour=10 minute=77")
    found = core::Desk::Feedback.of(marked, variant: :find)
    expect(found).to eq("Look again. Find the long hand's place first. Then look at the short hand.")
    expect(core::Desk::Feedback.of(marked)).not_to eq(found)
  end
end
