# frozen_string_literal: true

require_relative "../../../demo/copier/child_hand"

# Small pictures that are drawn here, point by point, so that what is in them is known; and what made-up children write: bent, with
# arrow heads, drawn twice, rubbed out, in pencils of all kinds.
module Drawings
  # Points of a dial's picture, and for each millimetre of paper.
  DIAL = 138
  PER_MM = 5.0

  def picture(width, height, paper: 240)
    rows = Array.new(height) { Array.new(width, paper) }
    yield rows if block_given?
    Vantick::Core::Paper::GrayImage.new(width, height, rows.flatten.pack("C*"))
  end

  # A straight line as broad as a pencil's.
  def line(rows, from, to, grey: 60, breadth: 3)
    steps = 200
    (0..steps).each do |at|
      x, y = [0, 1].map { |way| (from[way] + ((to[way] - from[way]) * at / steps.to_f)).round }
      dab = (-(breadth / 2)..(breadth / 2)).to_a.repeated_permutation(2)
      dab.each { |across, down| rows[y + down][x + across] = grey if rows.dig(y + down, x + across) }
    end
  end

  # Hands from the middle, each its degrees and its length in radii, and where it begins, in points aside of the middle.
  def hands(*drawn, **how)
    middle = DIAL / 2
    picture(DIAL, DIAL) do |rows|
      drawn.each do |degrees, length, (across, down)|
        turn = degrees * Math::PI / 180
        tip = [middle + (length * middle * Math.sin(turn)), middle - (length * middle * Math.cos(turn))]
        line(rows, [middle + across.to_i, middle + down.to_i], tip, **how)
      end
    end
  end

  def written(width, height, seed)
    canvas = Vantick::Copier::Canvas.new(width, height)
    yield canvas, Vantick::Copier::ChildHand.new(Random.new(seed))
    grain = Random.new(seed)
    greys = canvas.bytes.bytes.map { |grey| (grey - 6 + grain.rand(12)).clamp(0, 255) }
    Vantick::Core::Paper::GrayImage.new(width, height, greys.pack("C*"))
  end

  # @return [Paper::GrayImage] of hands as a child draws them, the short one first
  def drawn_by_child(seed, hands)
    written(DIAL, DIAL, seed) { |canvas, hand| hand.draw_hands(canvas, [DIAL / 2] * 2, DIAL / 2, hands, PER_MM) }
  end

  def apart(one, other) = Vantick::Core::Dial::Hands.apart(one, other).abs
end
