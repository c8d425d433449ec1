# frozen_string_literal: true

require_relative "canvas"

module Vantick
  module Copier
    # How one child writes: slant, tremble, pressure and habits stay the same on all of its sheets.
    class ChildHand
      # Digits as strokes, in a box of one by one from its upper left corner.
      DIGITS = {
        0 => [[[0.5, 0.04], [0.2, 0.2], [0.12, 0.55], [0.28, 0.9], [0.55, 0.97], [0.82, 0.75], [0.86, 0.4], [0.72, 0.12], [0.5, 0.04]]],
        1 => [[[0.3, 0.25], [0.55, 0.04], [0.55, 0.97]]],
        2 => [[[0.18, 0.25], [0.38, 0.05], [0.7, 0.1], [0.8, 0.32], [0.55, 0.6], [0.15, 0.95], [0.86, 0.95]]],
        3 => [[[0.2, 0.12], [0.55, 0.03], [0.8, 0.2], [0.65, 0.42], [0.42, 0.48], [0.75, 0.58], [0.82, 0.8], [0.52, 0.98], [0.16, 0.86]]],
        4 => [[[0.26, 0.05], [0.16, 0.56], [0.86, 0.56]], [[0.7, 0.2], [0.66, 0.97]]],
        5 => [[[0.78, 0.05], [0.26, 0.06], [0.22, 0.42], [0.58, 0.38], [0.82, 0.6], [0.68, 0.9], [0.36, 0.98], [0.14, 0.86]]],
        6 => [[[0.68, 0.04], [0.34, 0.28], [0.16, 0.66], [0.32, 0.94], [0.66, 0.95], [0.82, 0.72], [0.6, 0.52], [0.28, 0.62],
               [0.18, 0.74]]],
        7 => [[[0.14, 0.07], [0.86, 0.07], [0.58, 0.5], [0.42, 0.97]]],
        8 => [[[0.72, 0.16], [0.46, 0.04], [0.24, 0.22], [0.46, 0.46], [0.76, 0.68], [0.68, 0.94], [0.34, 0.95], [0.2, 0.72], [0.5, 0.48],
               [0.74, 0.28], [0.7, 0.14]]],
        9 => [[[0.76, 0.3], [0.52, 0.5], [0.24, 0.38], [0.3, 0.1], [0.62, 0.05], [0.77, 0.3], [0.72, 0.62], [0.56, 0.97]]]
      }.freeze

      # @param random [Random]
      def initialize(random)
        @random = random
        @slant = spread(0.12)
        @tremble = 0.006 + (random.rand * 0.012)
        @grey = 40 + random.rand(75)
        @breadth = 0.45 + (random.rand * 0.45)
        @bend = spread(0.06)
        @arrows = random.rand < 0.35
        @twice = random.rand < 0.15
        @rubs = random.rand < 0.2
        @lengths = [0.48 + (random.rand * 0.16), 0.84 + (random.rand * 0.12)]
      end

      # @param canvas [Canvas]
      # @param center [Array(Float, Float)]
      # @param radius [Float] of what lies within the marks, in points of the picture
      # @param hands [Array(Float, Float)] degrees of the short and of the long hand
      # @param per_mm [Float]
      def draw_hands(canvas, center, radius, hands, per_mm)
        rubbed(canvas, center, radius, per_mm) if @rubs && @random.rand < 0.4
        hands.zip(@lengths) { |degrees, length| hand(canvas, center, radius * (length + spread(0.03)), degrees, per_mm) }
      end

      # @param box [Array(Float, Float, Float, Float)] in points of the picture
      def write_digit(canvas, box, digit, per_mm)
        x, y, width, height = box
        grow = 0.6 + (@random.rand * 0.18)
        left = x + (width * ((1 - grow) / 2)) + (spread(0.06) * width)
        top = y + (height * ((1 - grow) / 2)) + (spread(0.05) * height)
        DIGITS.fetch(digit).each do |stroke|
          points = stroke.map do |across, down|
            [left + (shaken(across + (@slant * (0.5 - down))) * width * grow), top + (shaken(down) * height * grow)]
          end
          canvas.stroke(rounded(points), @breadth * per_mm, @grey)
        end
      end

      # A cross in a box.
      def tick(canvas, box, per_mm)
        x, y, width, height = box
        [[[0.1, 0.1], [0.9, 0.9]], [[0.9, 0.08], [0.1, 0.92]]].each do |line|
          canvas.stroke(line.map { |across, down| [x + (shaken(across) * width), y + (shaken(down) * height)] }, @breadth * per_mm, @grey)
        end
      end

      # Something that looks like words from afar.
      def write_words(canvas, box, words, per_mm)
        x, y, width, height = box
        step = [width / (words.length + 4.0), 2.6 * per_mm].min
        points = words.chars.each_with_index.flat_map do |letter, at|
          rise = letter.match?(/[bdfhklt]/) ? 0.75 : 0.42
          [[0, 0], [0.3, -rise], [0.6, 0]].map do |across, down|
            [x + ((at + 1 + across) * step), y + (height * (0.82 + (shaken(down) * 0.6)))]
          end
        end
        canvas.stroke(points, @breadth * per_mm * 0.8, @grey) if points.length > 1
      end

      private

      def spread(much) = ((@random.rand + @random.rand) - 1) * much

      def shaken(value) = value + spread(@tremble * 3)

      # A curve through the points (Catmull and Rom, from memory).
      def rounded(points)
        ends = [points.first, *points, points.last]
        curve = ends.each_cons(4).flat_map { |four| (0..3).map { |at| between(four, at / 4.0) } }
        [*curve, points.last]
      end

      def between(points, part)
        [0, 1].map do |way|
          before, from, to, after = points.map { |point| point[way] }
          0.5 * ((2 * from) + ((to - before) * part) + (((2 * before) - (5 * from) + (4 * to) - after) * (part**2)) +
                 (((3 * from) - before - (3 * to) + after) * (part**3)))
        end
      end

      def hand(canvas, center, length, degrees, per_mm)
        tip = out(center, degrees, length)
        start = [center[0] + (spread(1.6) * per_mm), center[1] + (spread(1.6) * per_mm)]
        start = out(start, degrees + 180, @random.rand * 2.5 * per_mm) if @random.rand < 0.3
        2.times do |again|
          next if again == 1 && !@twice

          line(canvas, start, tip, per_mm)
        end
        arrow(canvas, tip, degrees, per_mm) if @arrows
      end

      # Bent, and not quite smooth.
      def line(canvas, from, to, per_mm)
        across = [to[1] - from[1], from[0] - to[0]]
        points = (0..10).map do |at|
          part = at / 10.0
          aside = (@bend * part * (1 - part) * 4) + spread(@tremble)
          [from[0] + ((to[0] - from[0]) * part) + (across[0] * aside), from[1] + ((to[1] - from[1]) * part) + (across[1] * aside)]
        end
        canvas.stroke(points, @breadth * per_mm, @grey)
      end

      def arrow(canvas, tip, degrees, per_mm)
        [150, 210].each { |turn| canvas.stroke([tip, out(tip, degrees + turn + spread(12), 2.6 * per_mm)], @breadth * per_mm, @grey) }
      end

      # A first try, rubbed out again.
      def rubbed(canvas, center, radius, per_mm)
        degrees = @random.rand * 360
        line(canvas, center, out(center, degrees, radius * 0.75), per_mm)
        4.times { |at| canvas.rub(out(center, degrees, radius * (0.15 + (at * 0.18))), 2.6 * per_mm, 0.12) }
      end

      def out(from, degrees, length)
        turn = degrees * Math::PI / 180
        [from[0] + (length * Math.sin(turn)), from[1] - (length * Math.cos(turn))]
      end
    end
  end
end
