# frozen_string_literal: true

RSpec.describe Vantick::Core::Curriculum::Step do
  let(:steps) { described_class.all }

  it "has a time of its own that stands for it, with hands in sight, and no two the same" do
    steps = described_class.with_times
    examples = steps.map(&:example)
    expect(steps).to all(satisfy { |step| step.holds?(step.example) && !step.example.hidden_hand? })
    expect(examples.uniq).to eq(examples)
    expect(described_class.find(:quarters).minute_degrees).to eq([0, 90, 180, 270])
    expect(described_class.all.first.example).to be_nil
  end

  it "stands on steps that come before it alone" do
    steps.each_with_index { |step, at| expect(step.builds_on - steps.first(at)).to be_empty, step.id.to_s }
    broken = [{ id: "fives", builds_on: ["hours"] }]
    expect { described_class.send(:climb, broken) }.to raise_error(Vantick::Core::InvalidData, /fives builds on hours/)
  end

  it "knows its names, and says which there are" do
    expect(described_class.find("quarters").id).to eq(:quarters)
    expect { described_class.find("lunch") }.to raise_error(Vantick::Core::UnknownName, /lunch/)
    expect { described_class.find("two_hands") }.to raise_error(Vantick::Core::UnknownName), "a step without times is none to ask"
  end

  it "finds the earliest step that has all of some times" do
    { %w[3:00] => :oclock, %w[3:30] => :half_past, %w[3:15] => :quarter_past, %w[3:15 3:45] => :quarters, %w[3:05] => :fives_past,
      %w[3:05 3:50] => :fives, %w[3:07 3:05] => :minutes_past, %w[3:07 3:53] => :minutes }.each do |times, id|
      found = described_class.holding(times.map { |text| time(text) }, task(:dial_to_words))
      expect(found.id).to eq(id), times.join(" ")
    end
  end

  it "leaves tasks that ask for a part of reading at the step where that is learned" do
    expect(described_class.home(task(:hour_only)).id).to eq(:hour_hand)
    expect(described_class.home(task(:dial_to_words))).to be_nil
    expect(described_class.holding([time("7:40")], task(:hour_only)).id).to eq(:hour_hand)
  end

  { [%i[oclock half_past], nil] => :quarter_past, [%i[quarter_to], nil] => :fives_facts, [%i[oclock], :fives_to] => :fives_to,
    [%i[day_halves], nil] => :day_halves, [%i[half_past], :oclock] => :quarter_past }.each do |(taught, least), above|
    it "goes from #{taught.join(', ')}#{" and at least #{least}" if least} to #{above}, past what only takes steps together" do
      found = described_class.above(taught.map { |id| described_class.find(id) }, least: least && described_class.find(least))
      expect(found.id).to eq(above)
    end
  end

  it "has a lesson of the usual length where it has no times, with something to say and to look for in each part" do
    without, with = described_class.all.partition { |step| step.tasks.empty? }
    without.each do |step|
      parts = step.texts_in(Vantick::Core::Wording::Conventions.default)[:parts]
      expect(parts.sum { |part| part[:minutes] }).to eq(Vantick::Core::Teaching::Lesson::USUAL)
      expect(parts.map { |part| part.values_at(:name, :say, :look_for) }.flatten).to all(match(/\A[A-Z].*[.?a-z]\z/))
    end
    expect(without.map(&:id)).to eq([:hands])
    expect(with.map { |step| step.texts_in(Vantick::Core::Wording::Conventions.default)[:parts] }).to all(be_empty)
  end
end
