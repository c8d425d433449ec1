# frozen_string_literal: true

require_relative "drawings"

# Print that is taken off a picture, so that what is left was written.
RSpec.describe Vantick::Core::Paper::Printed do
  include Drawings

  def print(rows, across = 0, down = 0)
    [[[20, 20], [60, 20]], [[60, 20], [60, 60]], [[60, 60], [20, 60]], [[20, 60], [20, 20]]].each do |from, to|
      line(rows, *[from, to].map { |place| [place[0] + across, place[1] + down] }, grey: 30)
    end
  end

  let(:printed) { described_class.new(picture(100, 80, paper: 255) { |rows| print(rows) }) }

  [[0, 0], [1, -1], [3, 2], [-3, -3]].each do |across, down|
    it "leaves nothing of it where it lies #{across} and #{down} points off" do
      expect(printed.taken_from(picture(100, 80) { |rows| print(rows, across, down) }).ink).to eq(0)
    end

    it "leaves what was written across it and beside it, #{across} and #{down} points off" do
      seen = printed.taken_from(picture(100, 80) { |rows| print(rows, across, down) && line(rows, [30, 30], [90, 30], grey: 90) })
      alone = picture(100, 80) { |rows| line(rows, [30, 30], [90, 30], grey: 90) }
      expect(seen.ink).to be_between(0.8 * alone.ink, alone.ink)
    end
  end

  [[8, 7], [-9, 0]].each do |across, down|
    it "leaves all as it is where the print lies #{across} and #{down} points off, which is too far" do
      seen = picture(100, 80) { |rows| print(rows, across, down) }
      expect { |said| expect(printed.taken_from(seen, &said)).to be(seen) }.to yield_control
      expect { |said| printed.taken_from(picture(100, 80) { |rows| print(rows, 2, 1) }, &said) }.not_to yield_control
    end
  end

  it "has the numbers that were measured or judged" do
    names = %i[DARK ASKEW ROUND LOOKED_AT FITS SOMETHING]
    expect(names.map { |name| described_class.const_get(name) }).to eq([200, 3, 2, 240, 0.5, 0.2])
    reader = %i[TICKED EMPTY DIGIT_ROUND OUTSIDE].map { |name| Vantick::Core::Paper::FieldReader.const_get(name) }
    expect(reader).to eq([0.06, 0.025, 8, 0.02])
    expect([Vantick::Core::Paper::DigitReader::SURE, Vantick::Core::Paper::DigitReader::NONE]).to eq([0.9, 0.5])
  end

  it "changes nothing where nothing is printed, and refuses a piece of another size" do
    bare = described_class.new(picture(10, 10, paper: 255))
    seen = picture(10, 10) { |rows| rows[2][3] = 7 }
    expect([bare.bare?, bare.taken_from(seen)]).to eq([true, seen])
    expect { printed.taken_from(seen) }.to raise_error(ArgumentError, "10 by 10 points")
  end
end
