# frozen_string_literal: true

module Bench
  # Digits as children write them, made of the open set's: slanted, narrow, in a thin pencil; and what is no digit, made of the same.
  class Varied
    # Points of a side of what is made, and of the open set's.
    SIDE = 48
    FROM = 28
    MIDDLE = (FROM - 1) / 2.0
    # A pencil's breadth.
    DAB = [[0, 0], [0, 1], [1, 0]].freeze

    def initialize(random)
      @random = random
    end

    # @param ink [Array<Array<Float>>] of the open set
    # @return [Array<Array<Float>>]
    def digit(ink) = thinned(turned(ink, spread(0.35), 1 + spread(0.3), spread(0.2)))

    # @param one [Array<Array<Float>>]
    # @param other [Array<Array<Float>>]
    # @return [Array<Array<Float>>] two in one box, a half, one that is struck out, or a scribble
    def none(one, other)
      case @random.rand(4)
      when 0 then thinned(beside(one, other))
      when 1 then half(digit(one))
      when 2 then struck(digit(one))
      else scribble
      end
    end

    private

    def spread(most) = (@random.rand - 0.5) * 2 * most

    # Each point from where it was, between the four round it.
    def turned(ink, slant, wide, turn)
      cos = Math.cos(turn)
      sin = Math.sin(turn)
      Array.new(SIDE) do |row|
        Array.new(SIDE) do |column|
          across, down = [column, row].map { |place| (place - ((SIDE - 1) / 2.0)) * (FROM - 1) / (SIDE - 1.0) }
          at(ink, (((across * cos) + (down * sin)) / wide) + (slant * down) + MIDDLE, (down * cos) - (across * sin) + MIDDLE)
        end
      end
    end

    def at(ink, x, y)
      left = x.floor
      top = y.floor
      return 0.0 if left.negative? || top.negative? || left >= FROM - 1 || top >= FROM - 1

      upper, lower = [top, top + 1].map { |row| (ink[row][left] * (left + 1 - x)) + (ink[row][left + 1] * (x - left)) }
      (upper * (top + 1 - y)) + (lower * (y - top))
    end

    # A pencil is thinner than the pens of the set; a light one has no full black.
    def thinned(ink)
      from = @random.rand * 0.62
      ink.map { |row| row.map { |value| ((value - from) / (1 - from) * 1.4).clamp(0.0, 1.0) } }
    end

    def beside(one, other)
      parts = [one, other].map { |ink| turned(ink, spread(0.2), 0.55, spread(0.1)) }
      Array.new(SIDE) { |row| (parts[0][row][10, 28] + parts[1][row][10, 28]) }
    end

    def half(ink)
      case @random.rand(3)
      when 0 then ink.first(SIDE / 2)
      when 1 then ink.last(SIDE / 2)
      else ink.map { |row| row.first(SIDE / 2) }
      end
    end

    def struck(ink)
      (1 + @random.rand(3)).times { line(ink, [4 + @random.rand(8), 4 + @random.rand(40)], [36 + @random.rand(8), 4 + @random.rand(40)]) }
      ink
    end

    def scribble
      ink = Array.new(SIDE) { Array.new(SIDE, 0.0) }
      places = Array.new(4 + @random.rand(6)) { [6 + @random.rand(36), 6 + @random.rand(36)] }
      places.each_cons(2) { |from, to| line(ink, from, to) }
      ink
    end

    def line(ink, from, to)
      (0..60).each do |part|
        column, row = from.zip(to).map { |one, other| (one + ((other - one) * part / 60.0)).round }
        DAB.each { |aside, below| ink[row + below][column + aside] = 1.0 if ink.dig(row + below, column + aside) }
      end
    end
  end
end
