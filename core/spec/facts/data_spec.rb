# frozen_string_literal: true

RSpec.describe "the data files" do
  let(:core) { Vantick::Core }

  it "are frozen to the leaves" do
    misreading(:hands_swapped).texts.each_value { |text| expect(text).to be_frozen }
    expect(core::Facts::DataFile.load("words")[:read][:past].first).to be_frozen
  end

  it "refuse an entry with a gap, by its name" do
    expect { core::Facts::DataFile.entries("tasks", required: %i[colour]) }
      .to raise_error(core::InvalidData, "tasks.yml: dial_to_digital has no colour")
  end

  it "show each misreading with a lens there is, at three times of its own that tell it" do
    lenses = core::Facts::DataFile.entries("lenses", required: %i[id group name shows]).map { |lens| lens[:id] }
    core::Reading::Misreading.all.each do |misreading|
      expect(lenses).to include(misreading.texts[:lens])
      expect(misreading.best_times.uniq.length).to eq(3)
      expect(misreading.best_times.select(&:hidden_hand?)).to eq([])
      task = core::Tasks::Task.all.find { |one| misreading.shows_in?(one) }
      expect(misreading.best_times.map { |shown| misreading.chance?(shown, task) }).to all(be(true)), misreading.id.to_s
    end
  end

  it "speak to the child in one short sentence or two" do
    core::Reading::Misreading.all.each { |misreading| expect(misreading.texts[:child].length).to be <= 90 }
  end

  it "let every step rest on steps before it, and speak of its words and questions" do
    core::Curriculum::Step.all.each_with_index do |step, place|
      expect(step.builds_on.map { |lower| core::Curriculum::Step.all.index(lower) }).to be_empty.or(all(be < place))
      expect([step.words, step.questions, step.standards].map(&:length)).to all(be_positive)
      expect(step.questions).to all(match(/\A[^?.]*([.?] [^?.]*)*\?( .*\.)?\z/))
    end
    expect(core::Curriculum::Step.find(:fives).builds_on.map(&:id)).to eq(%i[quarters fives_past fives_to])
    expect(core::Curriculum::Step.find(:quarters).misreadings(task(:dial_to_words)).map(&:id)).not_to include(:stops_at_five)
  end

  it "let no step of an earlier standard need one of a later standard" do
    year = ->(one) { one.standards.grep(/CCSS/).first[/\d/].to_i }
    core::Curriculum::Step.all.each { |step| expect(step.builds_on.map(&year)).to be_empty.or(all(be <= year[step])) }
  end

  # Australian Curriculum version 9, AC9M2M04 (hour, half hour, quarter hour) and AC9M3M04 (to the nearest minute); from memory.
  it "give Australia's years the times that they ask for" do
    minutes = ->(aim) { Vantick::Core::Term::Aim.new(aim).ladder.select(&:whole?).flat_map { |one| one.pool.map(&:minute) }.uniq.sort }
    expect(minutes["Australia year 2"]).to eq([0, 15, 30, 45])
    expect(minutes["Australia year 3"]).to eq((0..59).to_a)
  end

  # Common Core State Standards for Mathematics (2010), 2.MD.C.7 and 3.MD.A.1, and the national
  # curriculum in England (2013), years 1 to 3; both from memory.
  it "give the steps the times that published standards ask for" do
    pool = ->(id) { step(id).pool.map(&:minute).uniq }
    expect(pool[:oclock] + pool[:half_past]).to contain_exactly(0, 30)
    expect(pool[:quarters]).to eq([0, 15, 30, 45])
    expect(pool[:fives]).to eq((0..55).step(5).to_a)
    expect(pool[:minutes]).to eq((0..59).to_a)
    expect(pool[:fives_past] & pool[:fives_to]).to eq([])
    expect(core::Curriculum::Step.with_times.map { |step| step.pool.length % 12 }).to all(eq(0))
  end
end
