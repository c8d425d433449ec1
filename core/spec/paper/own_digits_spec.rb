# frozen_string_literal: true

require_relative "drawings"

RSpec.describe Vantick::Core::Paper::OwnDigits do
  include Drawings

  let(:reader) { Vantick::Core::Paper::DigitReader.standard }

  # A one with so long an upstroke that it may be a seven.
  def one(seed)
    random = Random.new(seed)
    at = ->(x, y) { [x + random.rand(3), y + random.rand(3)] }
    picture(60, 70) do |rows|
      top = at.call(34, 12)
      line(rows, at.call(21, 19), top)
      line(rows, top, at.call(33, 58))
    end
  end

  def read(picture, own = described_class::NONE) = Vantick::Core::Paper::FieldReader.digit(picture, own)

  def known(digit, seeds = 1..4)
    described_class.from(seeds.map { |seed| [[read(one(seed)).form], digit.to_s] })
  end

  it "lets a digit be read as what this child's own were that look like it" do
    first = read(one(9))
    expect(first.chances.values_at(1, 7).min).to be > 0.001
    { 1 => known(1), 7 => known(7) }.each do |digit, own|
      expect(read(one(9), own).chances.fetch(digit)).to be > first.chances.fetch(digit)
      expect(read(one(9), own)).to have_attributes(digit:, sure?: true)
    end
  end

  it "counts the nearest that stands, is told nothing by digits that look otherwise, and makes nothing sure of a blot" do
    both = described_class.from([[[read(one(1)).form], "1"], [[read(line_across).form], "7"]])
    expect(read(one(9), both).digit).to eq(1)
    eights = described_class.from([[[described_class.form(Array.new(392) { |at| (at % 5).to_f })], "8"]])
    expect(read(one(9), eights).digit).to eq(read(one(9)).digit)
    expect(read(picture(60, 70), known(1))).to eq(Vantick::Core::Paper::DigitReader::BLANK)
  end

  def line_across = picture(60, 70) { |rows| line(rows, [10, 35], [50, 34]) }

  {
    "7:45" => [[nil, "a", "b", "c"], 3], "12:05" => [%w[a b c d], 4], "7.45" => [[nil, "a", "b", "c"], 3],
    "quarter to 8" => [[nil, "a", "b", "c"], 0], "7:4" => [[nil, "a", "b", "c"], 0], "-" => [[nil, "a", "b", "c"], 0]
  }.each do |answer, (forms, many)|
    it "takes #{many} digits from #{answer.inspect} in #{forms.compact.length} boxes" do
      allow(described_class).to receive(:new) { |known| known }
      digits = answer.scan(/\d/).map(&:to_i)
      expect(described_class.from([[forms, answer]])).to eq(many.zero? ? [] : forms.compact.zip(digits))
    end
  end

  it "compares with the last of each digit, and its numbers are those that were weighed" do
    expect([described_class::NEAR, described_class::FAR, described_class::MOST, described_class::KEPT]).to eq([5.9, 2.6, 5.0, 8])
    same = described_class.form([1.0, 2.0, 0.0]).unpack("C*")
    expect(described_class.apart(same, same)).to be_within(1e-9).of(0)
    expect(described_class.apart([1, 0], [0, 1])).to eq(1.0)
  end
end
