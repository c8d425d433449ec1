# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # A short hand that lies along a long one. The long hand goes on alone where the short one ends: there the ink gets narrower, or
      # one of two lines stops, or an arrow head stands halfway. Looked at across the long hand, row by row from its tip inwards.
      class HandsTogether
        # How far aside of the long hand is looked, in radii: two lines that each miss the middle by a little.
        ASIDE = 0.32
        # Where a short hand may end, in radii, and how far from the long one's tip at least, as that has an arrow head of its own.
        ENDS = (0.41..0.76)
        FROM_TIP = 0.21
        # Rows that must tell of a second hand inside its end, of so many; and points of the picture that it is broader by at least.
        ROWS = 8
        TELL = 7
        BROADER = 2.0
        # Points that ink may be apart and still be one line.
        GAP = 1.0
        # Points across are looked at so close together.
        FINE = 0.5
        # The rows that the short hand's direction is taken from, counted inwards from its end.
        AT_END = (2..4)

        # @param picture [GrayImage] square, its middle the dial's
        # @param long [HandsSeen::Stroke]
        def initialize(picture, long)
          @picture = picture
          @below = picture.ink_below
          @radius = picture.width / 2.0
          @degrees = long.degrees
          @reach = long.reach
          turn = @degrees * Math::PI / 180
          @out = [Math.sin(turn), -Math.cos(turn)]
        end

        # @return [HandsSeen::Stroke, nil] the hand that ends along the long one
        def short
          rows = (0..(@reach * @radius).floor).to_h { |row| [row, runs(row)] }
          line = long_line(rows) or return
          darkness = (first_row..last_row).to_h { |row| [row, beside(rows[row], line, row)] }
          ending = ending(darkness) or return
          degrees = @degrees + aside(rows, darkness, ending)
          HandsSeen::Stroke.new(degrees: degrees % 360, reach: ending / @radius, whole: true).freeze
        end

        private

        def first_row = (0.2 * @radius).floor
        def last_row = ([ENDS.max, @reach - FROM_TIP].min * @radius).floor

        # Where ink is across the long hand, in points from its line.
        def runs(row)
          wide = ASIDE * @radius
          dark = (-wide).step(wide, FINE).select { |aside| ink?(row, aside) }
          dark.slice_when { |one, other| other - one > GAP + FINE }.map { |run| [run.first - (FINE / 2), run.last + (FINE / 2)] }
        end

        def ink?(row, aside)
          ways = [[@out[0], -@out[1]], [@out[1], @out[0]]]
          x, y = ways.map { |along, across| (@radius + (along * row) + (across * aside)).floor }
          inside = [x, y].all? { |place| place.between?(0, @picture.width - 1) }
          inside && @picture.bytes.getbyte((y * @picture.width) + x) < @below
        end

        # The long hand's line where it is alone: its breadth and, for a row, its middle.
        def long_line(rows)
          outer = ((0.5 * @radius).floor..((@reach - 0.03) * @radius).floor).filter_map { |row| rows[row].one? && [row, *rows[row].first] }
          return if outer.length < 5

          @breadth = outer.map { |_, from, to| to - from }.sort[outer.length / 5]
          alone = outer.select { |_, from, to| to - from <= @breadth + 1 }
          Line.through(alone.map { |row, from, to| [row, (from + to) / 2.0] })
        end

        # How far ink goes beyond the long hand's line, on its left and on its right.
        def beside(runs, line, row)
          return [0, 0] if runs.empty?

          middle = line.at(row)
          [middle - (@breadth / 2) - runs.first.first, runs.last.last - middle - (@breadth / 2)]
        end

        def ending(widths)
          wide = widths.transform_values { |sides| sides.max >= BROADER }
          last_row.downto((ENDS.min * @radius).floor).find do |row|
            wide[row] && (1..ROWS).count { |at| wide[row - at] } >= TELL && (1..3).none? { |at| wide[row + at] }
          end
        end

        # Degrees that the short hand's tip is aside of the long hand.
        def aside(rows, widths, ending)
          middles = AT_END.map { |inside| tip_aside(rows[ending - inside], *widths[ending - inside]) }
          Math.atan2(middles.sum / middles.length, ending) * 180 / Math::PI
        end

        # An arrow head stands out on both sides, a line on one.
        def tip_aside(runs, left, right)
          return (runs.first.first + runs.last.last) / 2.0 if left >= BROADER && right >= BROADER

          left > right ? runs.first.first + (@breadth / 2) : runs.last.last - (@breadth / 2)
        end
      end
    end
  end
end
