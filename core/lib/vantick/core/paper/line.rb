# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # A straight line through points that are not quite on one (least squares, textbook).
      # @!attribute start [Float] its value at 0
      # @!attribute slope [Float]
      Line = Struct.new(:start, :slope) do
        # @param points [Array<Array(Numeric, Numeric)>] a place and the value there
        # @return [Line] level where all places are one
        # @example
        #   Line.through([[0, 1], [2, 5]]).at(1) #=> 3.0
        def self.through(points)
          middle, value = [0, 1].map { |way| points.sum { |point| point[way] }.fdiv(points.length) }
          spread = points.sum { |at, _| (at - middle)**2 }
          slope = spread.zero? ? 0 : points.sum { |at, off| (at - middle) * (off - value) } / spread
          new(value - (slope * middle), slope)
        end

        # @param place [Numeric]
        # @return [Float] its value at a place
        def at(place) = start + (slope * place)
      end
    end
  end
end
