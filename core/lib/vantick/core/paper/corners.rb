# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # The four marks round each piece of paper in a picture: dark squares, the upper left one open. From each open mark the other three are
      # looked for, so that pieces are found however they lie, also upside down, and several in one picture.
      class Corners
        # Sides that a mark may have in the small picture, in points.
        SIDES = [12, 9, 7].freeze
        # Points of the picture for one of the small one.
        SHRUNK = 3
        # A mark is so dark beside what is round it, and what is round it so light.
        DARK = 0.62
        LIGHT = 80
        MOST = 24
        # A square of side s has s squared points, a sixth of that apart from its middle on average; what is less solid is no mark.
        SOLID = 0.72
        # How far a corner may be from where three others would have it, in parts of the longer side; and how oblique a corner may be.
        SKEW = 0.09
        OBLIQUE = 0.22
        # Pieces that are as oblique as each other are told apart by their size.
        ALIKE_OBLIQUE = 0.07
        # Sides of a piece: width by height.
        SHAPES = (0.55..3.4)
        # Points this far round where a mark was seen are looked at for its middle, in sides: words may stand near.
        NEAR = 0.72
        # In an open mark the middle is lighter than its rim, by so many parts of the way to paper.
        OPEN = 0.35

        # A mark found.
        # @!attribute x [Float] points
        # @!attribute y [Float]
        # @!attribute side [Float]
        # @!attribute open [Boolean]
        Mark = Struct.new(:x, :y, :side, :open, keyword_init: true)

        # @param picture [Picture]
        # @return [Array<Array<Array(Float, Float)>>] of each piece the middles of its marks: upper left, upper right, lower right, lower left
        def self.of(picture) = new(picture).pieces

        def initialize(picture)
          @picture = picture
          @wide = picture.width / SHRUNK
          @high = picture.height / SHRUNK
        end

        # @return [Array<Array<Array(Float, Float)>>]
        def pieces
          found = marks
          open, closed = found.partition(&:open)
          open.filter_map { |mark| piece(mark, closed) }.uniq
        end

        # @return [Array<Mark>]
        def marks
          strongest = candidates.sort_by { |score, *| -score }
          kept = strongest.each_with_object([]) do |(_, x, y, side), chosen|
            chosen << [x, y, side] if chosen.length < MOST && chosen.none? { |cx, cy, cside| (cx - x).abs + (cy - y).abs < cside * 1.5 }
          end
          kept.filter_map { |x, y, side| refined(x * SHRUNK, y * SHRUNK, side * SHRUNK) }
        end

        private

        # Sums of all greys above and to the left, so that any rectangle is four looks.
        def sums
          @sums ||= begin
            bytes = @picture.bytes
            sums = Array.new((@wide + 1) * (@high + 1), 0)
            @high.times do |row|
              total = 0
              from = (row * SHRUNK + 1) * @picture.width + 1
              @wide.times do |column|
                total += bytes.getbyte(from + (column * SHRUNK))
                place = ((row + 1) * (@wide + 1)) + column + 1
                sums[place] = sums[place - @wide - 1] + total
              end
            end
            sums
          end
        end

        def sum(x, y, side)
          row = @wide + 1
          upper = (y * row) + x
          lower = upper + (side * row)
          sums[lower + side] - sums[lower] - sums[upper + side] + sums[upper]
        end

        # @return [Array<Array(Float, Float, Float, Integer)>] how clear each is, its middle and its side, in the small picture
        def candidates
          SIDES.flat_map { |side| of_side(side) }
        end

        def of_side(side)
          found = []
          frame = side / 2
          outer = side + (2 * frame)
          (0..(@high - outer)).step(2) do |y|
            (0..(@wide - outer)).step(2) do |x|
              inner = sum(x + frame, y + frame, side).fdiv(side * side)
              next if inner > 170

              round = (sum(x, y, outer) - (inner * side * side)).fdiv((outer * outer) - (side * side))
              found << [(round - inner) * side, x + (outer / 2.0), y + (outer / 2.0), side] if round > LIGHT && inner < round * DARK
            end
          end
          found
        end

        # Its middle as that of its dark points, in the picture itself.
        def refined(x, y, side)
          half = (side * NEAR).round
          light = brightest(x, y, half)
          dark = dark_points(x, y, half, light * 0.6)
          return if dark.length < side * side * 0.4

          middle = [dark.sum(&:first).fdiv(dark.length), dark.sum(&:last).fdiv(dark.length)]
          spread = dark.sum { |column, row| ((column - middle[0])**2) + ((row - middle[1])**2) }.fdiv(dark.length)
          return if dark.length < spread * SOLID * 6

          Mark.new(x: middle[0], y: middle[1], side: Math.sqrt(spread * 6), open: open?(middle, Math.sqrt(spread * 6), light))
        end

        def brightest(x, y, half)
          [[-half, -half], [half, -half], [half, half], [-half, half]].map { |across, down| @picture.at(x + across, y + down) }.max
        end

        def dark_points(x, y, half, below)
          columns = ([(x - half).round, 0].max..[(x + half).round, @picture.width - 1].min)
          rows = ([(y - half).round, 0].max..[(y + half).round, @picture.height - 1].min)
          rows.flat_map do |row|
            start = row * @picture.width
            columns.filter_map { |column| [column, row] if @picture.bytes.getbyte(start + column) < below }
          end
        end

        def open?(middle, side, light)
          inside = [[0, 0], [-1, 0], [1, 0], [0, -1], [0, 1]].sum { |across, down| @picture.at(middle[0] + across, middle[1] + down) } / 5
          rim = [[-1, 0], [1, 0], [0, -1], [0, 1]].sum { |across, down| @picture.at(middle[0] + (across * side * 0.36), middle[1] + (down * side * 0.36)) } / 4
          inside - rim > (light - rim) * OPEN
        end

        # The smallest piece of which the open mark is the upper left corner.
        def piece(open, closed)
          alike = closed.select { |mark| mark.side.fdiv(open.side).between?(0.72, 1.4) }
          pairs = alike.permutation(2).select { |right, below| corner?(open, right, below) }
          quads = pairs.filter_map { |right, below| completed(open, right, below, alike) }
          quads.min_by { |quad| [(oblique(quad) / ALIKE_OBLIQUE).floor, area(quad)] }&.map { |mark| [mark.x, mark.y] }
        end

        # Whether two marks lie to the right of a third and below it, about at a right angle, as a piece has its sides.
        def corner?(at, right, below)
          across = [right.x - at.x, right.y - at.y]
          down = [below.x - at.x, below.y - at.y]
          wide = Math.hypot(*across)
          high = Math.hypot(*down)
          return false unless SHAPES.cover?(wide / high) && [wide, high].min > at.side * 5

          turned = ((across[0] * down[1]) - (across[1] * down[0])) / (wide * high)
          slanted = ((across[0] * down[0]) + (across[1] * down[1])) / (wide * high)
          turned.positive? && slanted.abs < OBLIQUE
        end

        def completed(open, right, below, alike)
          x = right.x + below.x - open.x
          y = right.y + below.y - open.y
          near = [right, below].map { |mark| Math.hypot(mark.x - open.x, mark.y - open.y) }.max * SKEW
          last = (alike - [right, below]).min_by { |mark| Math.hypot(mark.x - x, mark.y - y) } or return
          [open, right, last, below] if Math.hypot(last.x - x, last.y - y) < near
        end

        # How far its corners are from right angles, the worst.
        def oblique(quad)
          quad.each_index.map do |at|
            mark, one, other = [quad[at], quad[at - 1], quad[(at + 1) % 4]]
            ends = [one, other].map { |corner| [corner.x - mark.x, corner.y - mark.y] }
            ends.transpose.sum { |pair| pair.reduce(:*) }.abs / ends.map { |way| Math.hypot(*way) }.reduce(:*)
          end.max
        end

        def area(quad)
          quad.zip(quad.rotate).sum { |one, other| (one.x * other.y) - (other.x * one.y) }.abs / 2
        end
      end
    end
  end
end
