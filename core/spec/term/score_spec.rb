# frozen_string_literal: true

RSpec.describe Vantick::Core::Term::Score do
  term = Vantick::Core::Term
  point = ->(day, low, likely, high) { term::Forecast::Point.new(day:, low:, likely:, high:) }
  told = [[100, [point[100, 2, 4, 6], point[120, 6, 10, 14]]], [108, [point[108, 3, 5, 7], point[120, 7, 11, 15]]]]

  # Told on day 100 for day 115: straight between the two points, 5 to 12.
  { 8 => [5, 12, 0, true], 5 => [5, 12, 0, true], 3 => [5, 12, -2, false],
14 => [5, 12, 2, false] }.each do |came, (low, high, missed, held)|
    it "has #{came} of #{low} to #{high} as #{missed} off" do
      score = described_class.of(told, came:, today: 115)
      expect(score).to have_attributes(told_on: 100, low:, high:, missed:, held?: held)
    end
  end

  it "judges no forecast before it is two weeks old, nor one whose goal's day is over, and takes the last that can be" do
    expect(described_class.of(told, came: 4, today: 113)).to be_nil
    expect(described_class.of(told, came: 4, today: 121)).to be_nil
    expect(described_class.of([], came: 4, today: 115)).to be_nil
    expect(described_class.of(told, came: 4, today: 120).told_on).to eq(100)
    later = [*told, [103, [point[103, 3, 5, 7], point[120, 7, 11, 15]]]]
    expect(described_class.of(later, came: 4, today: 118).told_on).to eq(103)
  end

  it "widens what is told to the side on which it was wrong, within the class" do
    now = term::Forecast::Result.new(children: 20, points: [point[115, 3, 3, 3], point[120, 4, 8, 19]])
    fewer, more, held = [3, 14, 8].map do |came|
      described_class.of(told, came:, today: 115).widened(now).points.map do |one|
        [one.low, one.high]
      end
    end
    expect(fewer).to eq([[3, 3], [2, 19]])
    expect(more).to eq([[3, 3], [4, 20]])
    expect(held).to eq([[3, 3], [4, 19]])
  end
end
