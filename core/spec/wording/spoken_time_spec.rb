# frozen_string_literal: true

RSpec.describe Vantick::Core::Wording::SpokenTime do
  it "means the time it was said for, both ways" do
    all_times.each do |shown|
      expect(described_class.usual(shown).time).to eq(shown)
      expect(described_class.past(shown).time).to eq(shown)
    end
  end

  it "keeps two sayings of one time apart" do
    quarter_to = described_class.new(15, :to, 8)
    all_past = described_class.new(45, :past, 7)
    expect(quarter_to.time).to eq(all_past.time)
    expect(quarter_to).not_to eq(all_past)
    expect([quarter_to.usual?, all_past.usual?]).to eq([true, false])
  end

  it "says a count of nothing as o'clock, and thirty with to in full" do
    expect(described_class.new(0, :to, 8)).to eq(described_class.new(0, :oclock, 8))
    expect(described_class.new(30, :to, 8).words).to eq("thirty to eight")
  end

  it "refuses what cannot be said" do
    [[60, :past, 3], [-1, :to, 3], [5, :around, 3], [5, :past, 0], [5, :past, 13]].each do |parts|
      expect { described_class.new(*parts) }.to raise_error(Vantick::Core::InvalidTime)
    end
  end
end
