# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # Dark squares in a picture of paper: looked for in a smaller picture, and measured in the picture itself.
      class Fiducials
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
        # Points this far round where a mark was seen are looked at for its middle, in sides: words may stand near.
        NEAR = 0.72
        # Paper is all round a mark: looked at in eight directions, so many sides from its middle, as many as this are light. What lies in
        # the shadow beside a page has dark on one side.
        ROUND = 0.95
        DIRECTIONS = (0..7).map { |at| at * Math::PI / 4 }.freeze
        LIGHT_ROUND = 6
        # In an open mark the middle is lighter than its rim, by so many parts of the way to paper.
        OPEN = 0.35

        # A mark found.
        # @!attribute x [Float] points
        # @!attribute y [Float]
        # @!attribute side [Float]
        # @!attribute open [Boolean]
        Mark = Struct.new(:x, :y, :side, :open, keyword_init: true)

        # @param picture [GrayImage]
        def initialize(picture)
          @picture = picture
          @wide = picture.width / SHRUNK
          @high = picture.height / SHRUNK
        end

        # @return [Array<Mark>]
        def all
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
              from = (((row * SHRUNK) + 1) * @picture.width) + 1
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
          side = Math.sqrt(spread * 6)
          return if dark.length < spread * SOLID * 6 || !alone?(middle, side, light * 0.6)

          Mark.new(x: middle[0], y: middle[1], side:, open: open?(middle, side, light))
        end

        def alone?(middle, side, dark)
          out = side * ROUND
          DIRECTIONS.count { |way| @picture.at(middle[0] + (out * Math.sin(way)), middle[1] - (out * Math.cos(way))) > dark } >= LIGHT_ROUND
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
          out = side * 0.36
          rim = [[-out, 0], [out, 0], [0, -out], [0, out]].sum { |across, down| @picture.at(middle[0] + across, middle[1] + down) } / 4
          inside - rim > (light - rim) * OPEN
        end
      end
    end
  end
end
