# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # Where places of a page lie in a picture of it that was taken from anywhere above (a homography of the plane; textbook, from
      # memory: eight numbers from four pairs of points).
      class Homography
        # @param from [Array<Array(Numeric, Numeric)>] four places of the page
        # @param onto [Array<Array(Numeric, Numeric)>] where they lie in the picture, in the same order
        def initialize(from, onto)
          rows = from.zip(onto).flat_map { |(x, y), (u, v)| [[x, y, 1, 0, 0, 0, -u * x, -u * y, u], [0, 0, 0, x, y, 1, -v * x, -v * y, v]] }
          @a, @b, @c, @d, @e, @f, @g, @h = solve(rows.map { |row| row.map(&:to_f) })
          freeze
        end

        # @param x [Float] on the page
        # @param y [Float] on the page
        # @return [Array(Float, Float)] the place in the picture
        def call(x, y)
          depth = (@g * x) + (@h * y) + 1
          [((@a * x) + (@b * y) + @c) / depth, ((@d * x) + (@e * y) + @f) / depth]
        end

        # What is needed to go along a row of the page: the place, times its depth, and what each step adds to it.
        # @param x [Float] on the page, where the row begins
        # @param y [Float] on the page
        # @param step [Float] on the page, from one place to the next
        # @return [Array(Array(Float, Float, Float), Array(Float, Float, Float))]
        def row(x, y, step)
          place = [(@a * x) + (@b * y) + @c, (@d * x) + (@e * y) + @f, (@g * x) + (@h * y) + 1]
          [place, [@a * step, @d * step, @g * step]]
        end

        private

        # Gaussian elimination, with the largest of each column on the diagonal.
        def solve(rows)
          rows.each_index do |column|
            pivot = (column...rows.length).max_by { |row| rows[row][column].abs }
            rows[column], rows[pivot] = rows[pivot], rows[column]
            divisor = rows[column][column]
            raise ZeroDivisionError, "four places in a line" if divisor.abs < 1e-12

            rows[column] = rows[column].map { |value| value / divisor }
            clear(rows, column)
          end
          rows.map(&:last)
        end

        def clear(rows, column)
          rows.each_index do |row|
            factor = rows[row][column]
            next if row == column || factor.zero?

            rows[row] = rows[row].zip(rows[column]).map { |value, other| value - (factor * other) }
          end
        end
      end
    end
  end
end
