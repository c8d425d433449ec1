# frozen_string_literal: true

RSpec.describe Vantick::Core::Wording::PartReader do
  def read(text, notation) = described_class.read(text, notation).map(&:value)

  it "takes short codes for counts as teachers type them, and no count that there is not" do
    side = ->(text) { read(text, :count).map { |count| [count.count, count.side] } }
    expect(side["20p"]).to eq([[20, :past]])
    expect(side["qt"]).to eq([[15, :to]])
    expect(side["hp"]).to eq([[30, :past]])
    expect(side["75p"]).to eq([])
  end

  # Common practice, no source.
  it "takes a half of the day as it is written, also with a slip of spelling, and nothing near two" do
    { "p.m." => :pm, "PM" => :pm, "am" => :am, "at noon" => :noon, "midnite" => :midnight, "mid night" => :midnight, "noun" => :noon }
      .each { |text, half| expect(read(text, :day_half)).to eq([half]), text }
    %w[x no lunchtime pam].each { |text| expect(read(text, :day_half)).to eq([]), text }
  end

  it "refuses what is longer than any answer" do
    expect { read("x" * 10_000, :count) }.to raise_error(Vantick::Core::AnswerTooLong)
  end
end
