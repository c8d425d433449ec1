# frozen_string_literal: true

RSpec.describe Vantick::Core::Judging::Evidence do
  def evidence(*answers) = described_class.from(answers.map { |shown, text| mark("dial_to_words", shown, text) })

  it "counts chances, hits and own hits" do
    found = evidence(["7:45", "quarter to seven"], ["10:45", "quarter to ten"], ["3:15", "quarter past three"], ["12:45", "quarter to one"])
    expect(found.map { |one| [one.misreading.id, one.chances, one.hits, one.own_hits] }).to eq([[:to_with_passed_hour, 3, 2, 2]])
  end

  it "shares a hit that two misreadings predict, and puts own hits first" do
    found = evidence(["7:11", "ten past seven"], ["7:13", "twelve minutes past seven"])
    pieces = found.map { |one| [one.misreading.id, one.hits, one.own_hits] }
    expect(pieces).to eq([[:ticks_one_short, 2, 1], [:stops_at_five, 1, 0]])
  end

  it "leaves out what was not answered or unreadable" do
    expect(evidence(["7:45", ""], ["7:45", "???"], ["7:45", "quarter to seven"]).first.chances).to eq(1)
    expect(evidence(["7:45", "quarter to eight"])).to eq([])
  end

  it "shows no way of a child where it came once in five chances" do
    right = { "7:40" => "twenty to eight", "10:50" => "ten to eleven", "2:55" => "five to three", "4:45" => "quarter to five" }.to_a
    once = evidence(["12:35", "twenty-five to twelve"], *right).find { |one| one.misreading.id == :to_with_passed_hour }
    expect([once.hits, once.chances, once.shown?]).to eq([1, 5, false])
    twice = evidence(["12:35", "twenty-five to twelve"], ["6:45", "quarter to six"], *right.first(3))
    expect(twice.first.shown?).to be(true)
  end

  # Planted misreadings, found again from the answers of a made-up child.
  task = Vantick::Core::Tasks::Task.find(:dial_to_words)
  shown = Vantick::Core::Choosing::Chooser.choose(step: Vantick::Core::Curriculum::Step.find(:minutes), task:, count: 12, seed: 3).times
  Vantick::Core::Reading::Misreading.for(task).each do |planted|
    it "finds #{planted.id} again where it was planted" do
      child = Vantick::Core::Simulation::SimulatedChild.new(misreadings: [planted], seed: 5)
      found = described_class.from((shown | planted.best_times).map do |one|
        Vantick::Core::Marking::Marker.mark(task:, time: one, text: child.answer(one, task))
      end)
      expect(found.first.misreading).to eq(planted)
      expect(found.first.hits).to eq(found.first.chances)
    end
  end

  describe Vantick::Core::Judging::ClassEvidence do
    let(:passed) { [mark("dial_to_words", "7:45", "quarter to seven"), mark("dial_to_words", "4:45", "quarter to four")] }
    let(:early) { [mark("dial_to_words", "3:30", "half past four"), mark("dial_to_words", "4:30", "half past five")] }
    let(:findings) do
      described_class.new("Ada" => passed, "Bo" => passed, "Cy" => early, "Di" => [mark("dial_to_words", "3:30", "half past three")],
                          "Ed" => [])
    end

    it "names as news what two children show twice, and them" do
      expect(findings.commonest).to have_attributes(misreading: misreading(:to_with_passed_hour), children: %w[Ada Bo], hits: 4, chances: 4)
      expect(findings.shared.length).to eq(1)
      expect(findings.showing.transform_keys(&:id)).to eq(to_with_passed_hour: %w[Ada Bo], next_hour_early: %w[Cy])
    end

    it "takes one hit, or few of many chances, for no news" do
      once = described_class.new("Ada" => passed.first(1), "Bo" => passed.first(1))
      right = %w[1:45 2:45 3:45 5:45].map { |at| mark("dial_to_words", at, Vantick::Core::Wording::Phrase.usual(time(at))) }
      seldom = described_class.new("Ada" => passed + right, "Bo" => passed + right)
      expect([once.shared, seldom.shared]).to eq([[], []])
    end

    it "keeps a piece of evidence for each child, none for those who show nothing, no seldom cause where a commoner one explains it" do
      expect(findings.by_child.transform_values(&:length)).to eq("Ada" => 1, "Bo" => 1, "Cy" => 1, "Di" => 0, "Ed" => 0)
    end

    it "has nothing to name where nothing was misread" do
      expect(described_class.new("Di" => [mark("dial_to_words", "3:30", "half past three")]).commonest).to be_nil
      expect(described_class.new({}).shared).to eq([])
    end
  end
end
