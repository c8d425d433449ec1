# frozen_string_literal: true

# Two more ways to ask for hands on a clock: one to fix, and the right one among others.
RSpec.describe Vantick::Core::Desk::Variants do
  core = Vantick::Core
  task = core::Tasks::Task.find(:words_to_dial)
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
    expect(described_class::TABLE.except(:kinds)).to eq(offered: 4, apart_degrees: 20, beside_minutes: [60, -60, 15, -15])
    expect(described_class::ALL).to eq(%i[fix find choose])
  end

  it "offers four clocks at every time, one right, all told apart at a glance" do
    times.each do |time|
      clocks = described_class.offered(task, time, seed: time.index)
      expect(clocks.count { |hands| verdict(task, time, hands) == :right }).to eq(1), time.to_s
      expect(clocks.combination(2).map { |pair| apart(*pair) }.min).to be >= 20
      expect(clocks.length).to eq(4)
    end
  end

  it "has the right clock in every place" do
    places = (0...60).map { |seed| described_class.offered(task, times[9], seed:).index(task.right_answer(times[9])) }
    expect(places.tally.values.min).to be >= 6
  end

  it "starts with a clock that is wrong, of the mistake that it is asked against where that has one" do
    kept = core::Reading::Misreading.find(:to_hour_kept)
    quarter_to = core::Dial::DialTime.parse("6:45")
    expect(described_class.start(task, quarter_to, against: kept).to_s).to eq("hour=232.5 minute=270")
    expect(described_class.offered(task, quarter_to, against: kept).map(&:to_s)).to include("hour=232.5 minute=270")
    times.each { |time| expect(verdict(task, time, described_class.start(task, time, seed: time.index))).not_to eq(:right) }
    # Of several clocks of one mistake the first that is offered.
    core::Reading::Misreading.all.each do |against|
      times.first(40).each do |time|
        own = core::Reading::Predictions.of(task).wrong_answers(against, time)
        shown = described_class.offered(task, time, against:).select { |one| own.include?(one) }
        next if shown.empty?

        expect(own).to include(described_class.start(task, time, against:)), "#{against.id} #{time}"
      end
    end
  end

  # A child who answers all in this way, from the first turn on.
  def sitting(answer, count: 40)
    learner = Vantick::Core::Desk::Learner.new(step: step(:quarters))
    (1..count).map do |seed|
      turn = Vantick::Core::Desk::TaskSelector.for(learner, seed:)
      marked = turn.times.map do |time|
        Vantick::Core::Marking::Marker.mark(task: turn.task, time:, text: answer.call(turn, time), said: turn.said&.words)
      end
      learner = learner.with_turn(turn).after(marked)
      turn
    end
  end

  def right(turn, time)
    turn.mistake ? "#{turn.mistake.id}; #{Vantick::Core::Wording::Phrase.usual(time)}" : turn.task.write(turn.task.right_answer(time))
  end

  it "takes turns with setting both hands" do
    asked = sitting(method(:right))
    hands = asked.select { |turn| turn.task.notation == :hands && turn.reason != :known }
    expect(hands.map(&:variant).first(3)).to eq([nil, :fix, :find])
    expect(asked.reject { |turn| turn.task.notation == :hands }.filter_map(&:variant)).to eq([])
    expect(asked.select { |turn| turn.variant == :find }).to all(have_attributes(helped: true))
  end

  it "gives a few to choose from, as help, to whoever just had something wrong" do
    asked = sitting(->(*) { "?" }).drop(1).reject(&:example).group_by { |turn| turn.task.notation }
    expect(asked.fetch(:hands).map(&:variant).uniq).to eq([:find])
    %i[words digits].each do |notation|
      turns = asked.fetch(notation).reject { |turn| %i[match estimate].include?(turn.task.id) }
      expect(turns.map(&:variant).uniq).to eq([:choose])
      expect(turns).to all(have_attributes(helped: true))
    end
  end

  %i[dial_to_words dial_to_digital digital_to_words words_to_digital].each do |id|
    it "offers four different answers to #{id} at every time, one of them right" do
      of = core::Tasks::Task.find(id)
      times.each do |time|
        texts = described_class.offered(of, time, seed: time.index).map { |answer| of.write(answer) }
        expect(texts.uniq.length).to eq(4), "#{time}: #{texts}"
        expect(texts.grep(/minute|\d[1-46-9]\z/)).to eq([]) if (time.minute % 5).zero?
        right = texts.count { |text| core::Marking::Marker.mark(task: of, time:, text:).read_right? }
        expect(right).to eq(1), "#{time}: #{texts}"
      end
    end
  end

  it "says in its own way what to look at" do
    marked = core::Marking::Marker.mark(task:, time: core::Dial::DialTime.parse("6:45"), text: "hour=10 minute=77")
    found = core::Desk::Feedback.of(marked, variant: :find)
    expect(found).to eq("Look again. Find the long hand's place first. Then look at the short hand.")
    expect(core::Desk::Feedback.of(marked)).not_to eq(found)
  end
end
