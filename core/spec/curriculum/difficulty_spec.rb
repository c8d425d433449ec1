# frozen_string_literal: true

RSpec.describe Vantick::Core::Curriculum::Difficulty do
  # The order of minute classes follows Friedman and Laycock, Child Development 60, 1989 (from memory).
  it "orders the classes of minutes" do
    texts = %w[4:00 4:30 8:15 8:10 3:40 8:12 3:38]
    difficulties = texts.map { |text| described_class.of(time(text)) }
    expect(difficulties).to eq(difficulties.sort)
    expect(difficulties.first).to eq(0)
  end

  it "adds for a late hour hand, the twelve hour and hidden hands, and stays within 0 and 1" do
    expect(described_class.of(time("4:45"))).to be_within(0.06).of(0.50)
    expect(described_class.of(time("12:30"))).to be_within(0.06).of(0.25)
    expect(described_class.of(time("12:59"))).to eq(1.0)
    expect(all_times.map { |shown| described_class.of(shown) }).to all(be_between(0, 1))
  end
end
