# frozen_string_literal: true

RSpec.describe Vantick::Core::Knowing::Graph do
  # Said a second time: what the tables of the trade say rests on what (common practice, no source).
  rests = {
    oclock: "", hour_hand: "oclock", half_past: "hour_hand", quarter_past: "half_past", three_quarters: "quarter_past",
    quarter_to: "three_quarters", numerals: "", fives_past: "numerals quarter_past", fives_after_half: "fives_past three_quarters",
    fives_to: "fives_after_half quarter_to", small_marks: "numerals", minutes_past: "fives_past small_marks",
    minutes_after_half: "minutes_past fives_after_half", minutes_to: "minutes_after_half fives_to"
  }.transform_values { |below| below.split.map(&:to_sym) }

  it "has the parts of the trade, each after those it rests on" do
    expect(described_class::RESTS_ON).to eq(rests)
    described_class::PARTS.each_with_index do |part, at|
      expect(described_class::RESTS_ON[part] - described_class::PARTS.first(at)).to eq([])
    end
  end

  it "is drawn in docs/knowing.md as it is" do
    drawn = File.read(File.expand_path("../../../docs/knowing.md", __dir__)).scan(/^  (\w+) --> (\w+)$/).map { |pair| pair.map(&:to_sym) }
    expect(drawn).to match_array(rests.flat_map { |part, below| below.map { |one| [one, part] } })
  end

  # Every set of parts is tried: those at which nothing is known without what it rests on.
  it "has all places that can be, and no others" do
    parts = rests.keys
    can_be = (0...(1 << parts.length)).select do |set|
      parts.each_with_index.all? { |part, at| set[at].zero? || rests[part].all? { |below| set[parts.index(below)] == 1 } }
    end
    expect(described_class.places).to match_array(can_be)
    expect(described_class.begin.sum).to be_within(1e-9).of(1)
  end

  it "goes up by one part, and down with all that rests on it" do
    described_class::PARTS.each do |part|
      bit = 1 << described_class::PARTS.index(part)
      from, to = described_class.steps_up(part)
      expect(described_class.places.values_at(*to)).to eq(described_class.places.values_at(*from).map { |place| place | bit })
      lost = [part, *described_class.above(part)].sum { |one| 1 << described_class::PARTS.index(one) }
      from, to = described_class.steps_down(part)
      expect(described_class.places.values_at(*to)).to eq(described_class.places.values_at(*from).map { |place| place & ~lost })
      expect(from).to eq(described_class.holding(part))
    end
  end

  it "begins with a belief in which nothing is likelier than what it rests on" do
    reach = described_class::PARTS.to_h { |part| [part, described_class.begin.values_at(*described_class.holding(part)).sum] }
    rests.each { |part, below| below.each { |one| expect(reach[part]).to be < reach[one] } }
  end
end
