# frozen_string_literal: true

RSpec.describe Vantick::Core::Paper::Picture do
  it "takes what lies outside of a picture for paper, and finds no digit on paper" do
    dark = described_class.new(4, 4, "\0" * 16)
    expect([dark.at(-1, 0), dark.at(1, 9), dark.at(1, 1)]).to eq([255.0, 255.0, 0.0])
    warp = Vantick::Core::Paper::Warp.new([[0, 0], [4, 0], [4, 4], [0, 4]], [[0, 0], [4, 0], [4, 4], [0, 4]])
    expect(dark.piece(warp, [3, 3, 2, 2], 1).bytes.bytes).to eq([0, 255, 255, 255])
    expect(Vantick::Core::Paper::DigitFeatures.of(Array.new(9) { [0.0] * 9 })).to be_nil
    expect(Vantick::Core::Paper::DigitReader.standard.read(Array.new(9) { [0.0] * 9 })).to eq(Vantick::Core::Paper::DigitReader::BLANK)
  end

  it "refuses a picture that has not a value for each point" do
    expect { described_class.new(2, 2, "x") }.to raise_error(ArgumentError, /1 values for 2 by 2/)
  end
end
