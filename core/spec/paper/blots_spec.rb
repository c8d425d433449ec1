# frozen_string_literal: true

require_relative "drawings"

# Ink that hangs together goes whole to the place that holds most of it.
RSpec.describe Vantick::Core::Paper::Blots do
  include Drawings

  places = { left: [0, 0, 50, 40], right: [50, 0, 50, 40] }

  # Two of thirty points are dust; a stroke is three points broad.
  { "a stroke that reaches over" => [[[[20, 20], [60, 20]]], true, false],
    "one on each side" => [[[[5, 5], [30, 5]], [[70, 30], [95, 30]]], true, true],
    "nothing" => [[], false, false] }.each do |what, (strokes, left, right)|
    it "gives #{what} to where most of it lies" do
      seen = picture(100, 40) { |rows| strokes.each { |from, to| line(rows, from, to) } }
      shares = described_class.new(seen).shares(places)
      expect([shares[:left].positive?, shares[:right].positive?]).to eq([left, right])
      expect(shares.values.sum).to eq(seen.ink)
    end
  end

  it "says what lies outside of a box, but not what only goes on beyond it" do
    seen = ->(from, to) { described_class.new(picture(100, 40) { |rows| line(rows, from, to) }).outside(places[:left]) }
    expect([seen.call([20, 20], [60, 20]), seen.call([60, 20], [90, 20]).positive?]).to eq([0, true])
  end

  it "takes no dust, and nothing that lies outside of all" do
    dust = picture(100, 40) { |rows| rows[3][3] = rows[3][4] = 20 }
    away = picture(140, 40) { |rows| line(rows, [110, 10], [130, 30]) }
    expect([dust, away].map { |seen| described_class.new(seen).shares(places).values.sum }).to eq([0, 0])
  end
end
