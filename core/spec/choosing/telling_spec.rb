# frozen_string_literal: true

RSpec.describe Vantick::Core::Telling do
  let(:half_past) { described_class.for(step(:half_past), task(:dial_to_words)) }

  # Worked by hand: at half past three the right reading and five misreadings predict answers that
  # share nothing, so that any time of the step keeps all fifteen pairs of the six apart.
  it "keeps apart pairs whose predicted answers share nothing" do
    expect(half_past.misreadings.map(&:id))
      .to contain_exactly(:hands_swapped, :next_hour_early, :numeral_as_minutes, :fives_one_short)
    expect(half_past.pairs_possible).to eq(5 * 4 / 2)
    expect(half_past.pairs_told_apart([time("3:30")])).to eq(10)
  end

  it "sums 1 - 0.25^s over all pairs" do
    expect(half_past.worth([])).to eq(0)
    expect(half_past.worth([time("3:30")])).to be_within(1e-9).of(10 * 0.75)
    expect(half_past.worth([time("3:30"), time("8:30")])).to be_within(1e-9).of(10 * 0.9375)
  end

  it "keeps nothing apart where a misreading does not show" do
    quarters = described_class.for(step(:quarters), task(:dial_to_words))
    only_past = quarters.pairs_told_apart([time("3:15")])
    with_to = quarters.pairs_told_apart([time("3:15"), time("7:45")])
    expect(only_past).to be < with_to
    expect(quarters.chances([time("3:15")])).to include(to_with_passed_hour: 0, sides_swapped: 1)
  end

  it "counts only misreadings that the step can show" do
    ids = ->(step_id) { described_class.for(step(step_id), task(:dial_to_digital)).misreadings.map(&:id) }
    expect(ids[:fives]).not_to include(:stops_at_five)
    expect(ids[:minutes]).to include(:stops_at_five, :zero_misplaced)
    expect(ids[:oclock]).to contain_exactly(:hands_swapped, :numeral_as_minutes)
  end
end
