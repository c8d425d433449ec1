# frozen_string_literal: true

RSpec.describe Vantick::Core::Choosing::Discrimination do
  # Worked by hand, of two dials: at 3:00 the right reading and four misreadings end in five answers that share nothing
  # (3:00; 12:15; 3:12; 12:00 with the hour at the long hand; 9:00 in a mirror), which keep all ten pairs apart; at 6:00 in the
  # mirror nothing changes.
  let(:oclock) { described_class.for(step(:oclock), task(:dial_to_digital)) }

  it "keeps apart pairs whose predicted answers share nothing" do
    expect(oclock.misreadings.map(&:id)).to contain_exactly(:hands_swapped, :numeral_as_minutes, :hour_from_minute_hand, :dial_mirrored)
    expect(oclock.pairs_possible).to eq(5 * 4 / 2)
    expect(oclock.pairs_told_apart([time("3:00")])).to eq(10)
    expect(oclock.pairs_told_apart([time("6:00")])).to eq(9)
  end

  it "sums 1 - 0.25^s over all pairs" do
    expect(oclock.worth([])).to eq(0)
    # Three of the five are right or often seen, so that three pairs count fully and the seven others a quarter.
    expect(oclock.worth([time("3:00")])).to be_within(1e-9).of((3 + (7 * 0.2)) * 0.75)
    expect(oclock.worth([time("3:00"), time("4:00")])).to be_within(1e-9).of((3 + (7 * 0.2)) * 0.9375)
    expect(oclock.worth([time("3:00"), time("6:00")])).to be_within(1e-9).of(((3 + (6 * 0.2)) * 0.9375) + (0.2 * 0.75))
    expect(oclock.weight_possible).to eq(3 + (7 * 0.2))
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
    expect(ids[:oclock]).to contain_exactly(:hands_swapped, :numeral_as_minutes, :hour_from_minute_hand, :dial_mirrored)
  end
end
