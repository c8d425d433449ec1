# frozen_string_literal: true

module Vantick
  module Copier
    # Paper to draw on: grey values, 0 black to 255 white.
    class Canvas
      attr_reader :width, :height

      # @param width [Integer]
      # @param height [Integer]
      # @param bytes [String, nil] what is on it already
      def initialize(width, height, bytes = nil)
        @width = width
        @height = height
        @grey = bytes ? bytes.b : "\xFF".b * (width * height)
      end

      # A line through points, darker where it is pressed on.
      # @param points [Array<Array(Float, Float)>]
      # @param breadth [Float] points of the picture
      # @param grey [Integer]
      def stroke(points, breadth, grey)
        points.each_cons(2) do |(x, y), (to_x, to_y)|
          steps = [Math.hypot(to_x - x, to_y - y) * 1.5, 1].max.ceil
          (0..steps).each { |at| dab(x + ((to_x - x) * at / steps), y + ((to_y - y) * at / steps), breadth / 2.0, grey) }
        end
      end

      # Something rubbed out: what is there gets lighter, and the paper a little grey.
      def rub(center, radius, left)
        each_near(center[0], center[1], radius) do |place, far|
          next if far > radius

          @grey.setbyte(place, [255 - ((255 - @grey.getbyte(place)) * left), 246].min.round)
        end
      end

      def bytes = @grey.dup

      private

      def dab(x, y, radius, grey)
        each_near(x, y, radius + 1) do |place, far|
          cover = (radius + 0.5 - far).clamp(0, 1)
          next if cover.zero?

          dark = 255 - ((255 - grey) * cover)
          @grey.setbyte(place, dark.round) if dark < @grey.getbyte(place)
        end
      end

      def each_near(x, y, radius)
        ((y - radius).floor..(y + radius).ceil).each do |row|
          next if row.negative? || row >= @height

          ((x - radius).floor..(x + radius).ceil).each do |column|
            next if column.negative? || column >= @width

            yield (row * @width) + column, Math.hypot(column - x, row - y)
          end
        end
      end
    end
  end
end
