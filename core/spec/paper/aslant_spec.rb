# frozen_string_literal: true

require_relative "drawings"

# A page photographed from aslant: from the corners that are found, what is on it is cut out straight.
RSpec.describe Vantick::Core::Paper::Corners do
  include Drawings

  # Middles of the marks on the page, and a square on it that is cut out, in millimetres.
  let(:page) { [[15, 15], [195, 15], [195, 282], [15, 282]] }
  let(:square) { [60, 120, 40, 40] }

  def warp(onto) = Vantick::Core::Paper::Homography.new(page, onto)

  # Every point of the photograph that lies on a mark or on the square, as the lens sees them.
  def photographed(onto)
    back = Vantick::Core::Paper::Homography.new(onto, page)
    picture(620, 877) do |rows|
      rows.each_with_index { |row, v| row.each_index { |u| row[u] = 30 if ink?(*back.call(u + 0.5, v + 0.5)) } }
    end
  end

  def ink?(x, y)
    on_mark?(x, y) || (x.between?(60, 100) && y.between?(120, 160) && (x < 63 || x > 97 || y < 123 || y > 157))
  end

  # The upper left one is open.
  def on_mark?(x, y)
    at = page.index { |left, top| (x - left).abs <= 5 && (y - top).abs <= 5 } or return false
    !(at.zero? && (x - 15).abs <= 1.6 && (y - 15).abs <= 1.6)
  end

  { "from above" => [[50, 50], [570, 50], [570, 820], [50, 820]],
    "from the foot" => [[95, 60], [525, 62], [575, 815], [45, 812]],
    "from the left" => [[60, 40], [560, 95], [556, 790], [58, 840]],
    "held askew" => [[120, 45], [585, 120], [500, 830], [40, 760]] }.each do |how, onto|
    it "finds the marks of a page taken #{how}, and what lies on it is straight again" do
      taken = photographed(onto)
      found = described_class.of(taken)
      expect(found.length).to eq(1)
      found.first.zip(onto) { |one, other| expect(Math.hypot(one[0] - other[0], one[1] - other[1])).to be < 2.5 }
      cut = warp(found.first).then { |way| taken.piece(way, square, 2) }
      rows = cut.bytes.bytes.each_slice(cut.width).to_a
      edges = [rows[2], rows[-3], rows.map { |row| row[2] }, rows.map { |row| row[-3] }]
      expect(edges.map { |edge| edge.count { |grey| grey < 100 }.fdiv(edge.length) }).to all(be > 0.9)
      inside = rows[12..-13].flat_map { |row| row[12..-13] }
      expect(inside.count { |grey| grey < 100 }).to eq(0)
    end
  end

  it "offers pieces that lie further aslant, which only their code shows to be one" do
    onto = [[60, 120], [500, 40], [590, 800], [20, 760]]
    marks = described_class.in(photographed(onto))
    expect(marks.pieces).to eq([])
    expect(marks.aslant.length).to eq(1)
    marks.aslant.first.zip(onto) { |one, other| expect(Math.hypot(one[0] - other[0], one[1] - other[1])).to be < 3 }
  end

  it "takes nothing for a mark that has dark beside it, as in a page's shadow" do
    edge = picture(300, 300) { |rows| rows.each_with_index { |row, at| (150..299).each { |column| row[column] = at % 40 < 30 ? 40 : 60 } } }
    expect(Vantick::Core::Paper::Fiducials.new(edge).all).to eq([])
  end

  it "has the numbers that were measured" do
    expect(described_class::ASLANT).to eq(oblique: 0.5, skew: 0.45, sizes: 0.5..2.0)
    expect([described_class::TRIED, described_class::TORN]).to eq([6, 4])
    marks = Vantick::Core::Paper::Fiducials
    expect([marks::ROUND, marks::LIGHT_ROUND, marks::DIRECTIONS.length]).to eq([0.95, 6, 8])
  end
end
