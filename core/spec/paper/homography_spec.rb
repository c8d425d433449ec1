# frozen_string_literal: true

require_relative "drawings"

RSpec.describe Vantick::Core::Paper::Homography do
  include Drawings

  it "takes the corners where they lie, and what is between them in a picture from aslant" do
    onto = [[10, 12], [205, 30], [190, 260], [22, 240]]
    warp = described_class.new([[0, 0], [100, 0], [100, 120], [0, 120]], onto)
    [[0, 0], [100, 0], [100, 120], [0, 120]].zip(onto) do |from, to|
      warp.call(*from).zip(to) { |one, other| expect(one).to be_within(1e-6).of(other) }
    end
    # Lines stay lines: the middle lies where the diagonals cross.
    x, y = warp.call(50, 60)
    expect((x - 10) * (260 - 12)).to be_within(1e-6).of((y - 12) * (190 - 10))
  end

  it "cuts a piece out straight" do
    taken = picture(200, 200) { |rows| (80..119).each { |row| (60..139).each { |column| rows[row][column] = 10 } } }
    warp = described_class.new([[0, 0], [1, 0], [1, 1], [0, 1]], [[0, 0], [200, 0], [200, 200], [0, 200]])
    piece = taken.piece(warp, [0.3, 0.4, 0.4, 0.2], 100)
    expect([piece.width, piece.height, piece.bytes.bytes.uniq]).to eq([40, 20, [10]])
    expect { described_class.new([[0, 0]] * 4, [[0, 0]] * 4) }.to raise_error(ZeroDivisionError)
  end
end
