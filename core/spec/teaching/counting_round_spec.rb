# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::CountingRound do
  let(:hops) { described_class.hops }

  # Common practice, no source: the first five is said at the one, sixty at the twelve; then back to nothing.
  it "says five at the one, sixty at the twelve, and comes back to nothing" do
    expect(hops.map(&:said)).to eq([*(0..60).step(5), *(0..55).step(5).to_a.reverse])
    expect(hops.map(&:direction).tally).to eq(forward: 13, back: 12)
  end

  it "stands where the long hand stands at that minute" do
    hops.each { |hop| expect(hop.minute).to eq(hop.said % 60) }
    expect(hops.map(&:minute).minmax).to eq([0, 55])
  end

  it "keeps every number said on the dial, and takes them away again going back" do
    hops.each do |hop|
      shown = hop.lights.flat_map { |light| light[:counts] }
      expect(shown.map(&:last)).to eq((5..hop.said).step(5).to_a)
      expect(shown.map { |place, said| place == said }).to all(be(true))
      expect(hop.lights.map { |light| [light[:from], light[:to]] }).to eq(shown.empty? ? [] : [[0, hop.said]])
    end
    expect(hops).to be_frozen
  end
end
