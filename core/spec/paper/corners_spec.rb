# frozen_string_literal: true

require_relative "drawings"

RSpec.describe Vantick::Core::Paper::Corners do
  include Drawings

  # Corners of a piece of paper, turned about the middle of a page; the first mark is open.
  def page(degrees, size: [900, 1300], open: 0)
    middle = [620, 877]
    ways = [[-1, -1], [1, -1], [1, 1], [-1, 1]]
    corners = ways.map { |across, down| turned(middle, across * size[0] / 2, down * size[1] / 2, degrees) }
    [picture(1240, 1754) { |rows| corners.each_with_index { |corner, at| mark(rows, corner, at == open) } }, corners]
  end

  def turned(middle, across, down, degrees)
    turn = degrees * Math::PI / 180
    [middle[0] + (across * Math.cos(turn)) - (down * Math.sin(turn)), middle[1] + (across * Math.sin(turn)) + (down * Math.cos(turn))]
  end

  def mark(rows, middle, open)
    x, y = middle.map(&:round)
    (-17..17).to_a.repeated_permutation(2) do |across, down|
      rows[y + down][x + across] = open && [across.abs, down.abs].max <= 5 ? 235 : 30
    end
  end

  [0, 2, -3, 90, 180, 183].each do |degrees|
    it "are found on a page turned by #{degrees} degrees, the open one first" do
      taken, corners = page(degrees, size: degrees == 90 ? [1000, 900] : [900, 1300])
      found = described_class.of(taken)
      expect(found.length).to eq(1)
      found.first.zip(corners) { |one, other| expect(Math.hypot(one[0] - other[0], one[1] - other[1])).to be < 2 }
    end
  end

  (0..3).to_a.product([0, -2, 180]).each do |missing, degrees|
    it "are where three others say on a page turned by #{degrees} degrees that lost number #{missing + 1}" do
      _, corners = page(degrees)
      torn = picture(1240, 1754) do |rows|
        corners.each_with_index { |corner, at| mark(rows, corner, at.zero?) unless at == missing }
      end
      expect(described_class.of(torn)).to eq([])
      found = described_class.in(torn).torn
      near = found.select { |quad| quad.zip(corners).all? { |one, other| Math.hypot(one[0] - other[0], one[1] - other[1]) < 3 } }
      expect([near.length, found.length <= 4]).to eq([1, true])
    end
  end

  it "are not found on a blank page, nor where one is missing, or far from where the others would have it" do
    expect(described_class.of(picture(1240, 1754))).to eq([])
    expect(described_class.of(page(0, open: 9).first)).to eq([])
    astray = picture(1240, 1754) do |rows|
      [[100, 100], [1100, 100], [700, 1000], [100, 1600]].each_with_index { |corner, at| mark(rows, corner, at.zero?) }
      line(rows, [300, 300], [340, 300], breadth: 9, grey: 30)
    end
    expect(described_class.of(astray)).to eq([])
  end

  it "are told from each other where a picture has several pieces: each open one has its nearest" do
    two = picture(1240, 1754) do |rows|
      [100, 900].each do |top|
        [[100, top], [1100, top], [1100, top + 700], [100, top + 700]].each_with_index { |corner, at| mark(rows, corner, at.zero?) }
      end
    end
    tops = described_class.of(two).map { |corners| corners.map { |corner| corner[1].round(-1) } }
    expect(tops).to contain_exactly([100, 100, 800, 800], [900, 900, 1600, 1600])
  end
end
