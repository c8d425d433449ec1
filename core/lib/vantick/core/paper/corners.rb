# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # The four marks round each piece of paper in a picture: dark squares, the upper left one open. From each open mark the other
      # three are looked for, so that pieces are found however they lie, also upside down, and several in one picture.
      class Corners
        # How far a corner may be from where three others would have it, in parts of the longer side; and how oblique a corner may be.
        SKEW = 0.22
        OBLIQUE = 0.22
        # How large a mark may be seen beside another of the same piece: what is nearer to the lens is larger.
        SIZES = (0.62..1.62)
        # Pieces that are as oblique as each other are told apart by their size.
        ALIKE_OBLIQUE = 0.07
        # Sides of a piece: width by height.
        SHAPES = (0.42..3.4)
        # @param picture [Picture]
        # @return [Array<Array<Array(Float, Float)>>] of each piece the middles of its marks: upper left and right, lower right and left
        def self.of(picture) = new(Marks.new(picture).all).pieces

        # @param marks [Array<Marks::Mark>]
        def initialize(marks)
          @open, @closed = marks.partition(&:open)
        end

        # @return [Array<Array<Array(Float, Float)>>]
        def pieces = @open.filter_map { |mark| piece(mark, @closed) }.uniq

        private

        # The smallest piece of which the open mark is the upper left corner.
        def piece(open, closed)
          alike = closed.select { |mark| SIZES.cover?(mark.side.fdiv(open.side)) }
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
            mark = quad[at]
            ends = [quad[at - 1], quad[(at + 1) % 4]].map { |corner| [corner.x - mark.x, corner.y - mark.y] }
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
