# frozen_string_literal: true

# How registers are written down: common practice, no source.
RSpec.describe Vantick::Core::Wording::NameList do
  def read(*lines, commas: nil)
    list = described_class.new(lines.each.with_index(1).to_a, commas:)
    [list.children.map { |child| [child.given, child.family].reject(&:empty?).join("/") }, list.commas]
  end

  {
    "one under the other" => [[["Anna"], ["Ben"]], %w[Anna Ben], nil],
    "between commas in one line" => [[%w[Anna Ben Cem]], %w[Anna Ben Cem], nil],
    "two in one line" => [[%w[Anna Ben]], %w[Anna Ben], :between],
    "with the family name first" => [[%w[Müller Anna], %w[Weber Tom]], %w[Anna/Müller Tom/Weber], :family_first],
    "with one who has no family name" => [[%w[Müller Anna], ["Cem"], %w[Weber Tom]], %w[Anna/Müller Cem Tom/Weber], :family_first],
    "two in one of many lines" => [[["Anna"], %w[Ben Cem], ["Dora"]], %w[Anna Ben Cem Dora], :between],
    "numbered" => [[["1. Müller", "Anna"], ["2) Weber", "Tom"]], %w[Anna/Müller Tom/Weber], :family_first],
    "with numbers of their own" => [[%w[1 Anna], %w[2 Ben]], %w[Anna Ben], nil],
    "with semicolons between the children" => [[["Müller, Anna", "Weber, Tom"]], %w[Anna/Müller Tom/Weber], :family_first],
    "with signs before" => [[["- Anna"], ["• Ben"]], %w[Anna Ben], nil],
    "with nothing in it" => [[[""], [nil]], [], nil]
  }.each do |how, (lines, names, commas)|
    it("reads names #{how}") { expect(read(*lines)).to eq([names, commas]) }
  end

  it "takes commas as somebody says" do
    lines = [%w[Müller Anna], %w[Weber Tom]]
    expect(read(*lines, commas: :between).first).to eq(%w[Müller Anna Weber Tom])
    expect(read(*lines, commas: :given_first).first).to eq(%w[Müller/Anna Weber/Tom])
    expect(read(%w[Müller Anna], commas: :family_first).first).to eq(["Anna/Müller"])
    expect { read(*lines, commas: :anyhow) }.to raise_error(Vantick::Core::Error) { |error| expect(error.field).to eq(:commas) }
  end

  it "says in which line something is no name" do
    expect { read(["Anna"], ["b" * 61]) }.to raise_error(Vantick::Core::Error, /Line 2/)
    expect { read(["Anna"], ["b" * 60]) }.not_to raise_error
  end

  it "loses no child, however it is written" do
    random = Random.new(28)
    50.times do
      lines = Array.new(random.rand(1..6)) { Array.new(random.rand(1..4)) { "N#{random.rand(1000)}x" } }
      described_class::COMMAS.each do |commas|
        list = described_class.new(lines.each.with_index(1).to_a, commas:)
        expect(list.children.flat_map(&:to_a).reject(&:empty?)).to match_array(lines.flatten)
      end
    end
  end
end
