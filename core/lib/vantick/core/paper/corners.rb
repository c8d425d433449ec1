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
        # Pieces with three marks that are tried, the largest first (judgement).
        TORN = 4
        # Photographed from further aslant sides are nearer to each other: the same as {OBLIQUE}, {SKEW} and {SIZES}, and pieces that are
        # tried, the largest first (measured with a camera of our own, `bench/paper/other_camera.rb`: 25 degrees).
        ASLANT = { oblique: 0.5, skew: 0.45, sizes: 0.5..2.0 }.freeze
        TRIED = 6
        # Places of the four marks, from the upper left one clockwise.
        PLACES = (0..3)

        # @param picture [GrayImage]
        # @return [Corners]
        def self.in(picture) = new(Fiducials.new(picture).all)

        # @param picture [GrayImage]
        # @return [Array<Array<Array(Float, Float)>>] of each piece the middles of its marks: upper left and right, lower right and left
        def self.of(picture) = self.in(picture).pieces

        # @param marks [Array<Marks::Mark>]
        def initialize(marks)
          @open, @closed = marks.partition(&:open)
        end

        # @return [Array<Array<Array(Float, Float)>>]
        def pieces = @open.filter_map { |mark| piece(mark, @closed) }.uniq

        # Pieces that are so far aslant that other marks may look like them: one is a piece only where its code is read.
        # @return [Array<Array<Array(Float, Float)>>] as {#pieces}, the largest first
        def aslant
          found = @open.flat_map { |open| quads(open, @closed, **ASLANT) }.uniq
          found.max_by(TRIED) { |quad| area(quad) }.map { |quad| quad.map { |mark| [mark.x, mark.y] } }
        end

        # Where a corner is torn off, folded or has a hole, the fourth mark lies where the three others say. Any three marks may look so: a
        # piece is one only where its code is read.
        # @return [Array<Array<Array(Float, Float)>>] as {#pieces}, the largest first
        def torn
          found = PLACES.flat_map { |missing| with_three(missing) }.uniq
          found.max_by(TORN) { |quad| area(quad) }.map { |quad| quad.map { |mark| [mark.x, mark.y] } }
        end

        private

        # Pieces of which all marks but one are there: seen from the mark opposite to it, which has the other two at a right angle.
        def with_three(missing)
          before, at, after = PLACES.to_a.rotate(missing).drop(1)
          here, *others = [at, after, before].map { |place| place.zero? ? @open : @closed }
          triples = here.product(*others).select { |three| three.uniq.length == 3 && alike?(three) }
          triples.select { |three| square?(*three, upright: at.even?) }.map do |three|
            quad = { **[at, after, before].zip(three).to_h, missing => opposite(*three) }
            PLACES.map { |place| quad[place] }
          end
        end

        def alike?(marks) = marks.combination(2).all? { |one, other| SIZES.cover?(one.side.fdiv(other.side)) }

        def opposite(here, one, other)
          Fiducials::Mark.new(x: one.x + other.x - here.x, y: one.y + other.y - here.y, side: here.side, open: false)
        end

        # The smallest piece of which the open mark is the upper left corner.
        def piece(open, closed)
          quads = quads(open, closed, oblique: OBLIQUE, skew: SKEW, sizes: SIZES)
          quads.min_by { |quad| [(oblique(quad) / ALIKE_OBLIQUE).floor, area(quad)] }&.map { |mark| [mark.x, mark.y] }
        end

        # Two marks lie to the right of the open one and below it, and the fourth about where these would have it.
        def quads(open, closed, oblique:, skew:, sizes:)
          alike = closed.select { |mark| sizes.cover?(mark.side.fdiv(open.side)) }
          pairs = alike.permutation(2).select { |right, below| square?(open, right, below, upright: true, oblique:) }
          pairs.filter_map { |right, below| completed(open, right, below, alike, skew) }
        end

        # Whether two marks lie about at a right angle seen from a third, as a piece has its sides: the next one clockwise, and the one
        # before.
        # @param upright [Boolean] whether the next one lies along the width
        def square?(at, after, before, upright:, oblique: OBLIQUE)
          one = [after.x - at.x, after.y - at.y]
          other = [before.x - at.x, before.y - at.y]
          sides = [one, other].map { |way| Math.hypot(*way) }
          wide, high = upright ? sides : sides.reverse
          return false unless SHAPES.cover?(wide / high) && sides.min > at.side * 5

          turned = ((one[0] * other[1]) - (one[1] * other[0])) / (wide * high)
          slanted = ((one[0] * other[0]) + (one[1] * other[1])) / (wide * high)
          turned.positive? && slanted.abs < oblique
        end

        def completed(open, right, below, alike, skew)
          x = right.x + below.x - open.x
          y = right.y + below.y - open.y
          near = [right, below].map { |mark| Math.hypot(mark.x - open.x, mark.y - open.y) }.max * skew
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
