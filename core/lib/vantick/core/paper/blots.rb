# frozen_string_literal: true

require "set"

module Vantick
  module Core
    module Paper
      # Ink that hangs together. A stroke belongs whole to the place that holds most of it, however far it reaches into others.
      class Blots
        # Fewer points are dust, at five points a millimetre (judgement).
        DUST = 6
        NEAR = [-1, 0, 1].product([-1, 0, 1]).reject { |step| step == [0, 0] }.freeze

        # @param picture [GrayImage] without print
        def initialize(picture)
          below = picture.ink_below
          width = picture.width
          ink = (0...picture.bytes.bytesize).select { |at| picture.bytes.getbyte(at) < below }
          @blots = together(ink.to_set { |at| at.divmod(width).reverse }).freeze
          freeze
        end

        # @param boxes [Hash{Object => Array(Numeric, Numeric, Numeric, Numeric)}] x, y, width and height in points of the picture
        # @return [Hash{Object => Integer}] by each of them, points of the ink that belongs there
        # @example
        #   Blots.new(picture).shares("am" => [0, 0, 20, 20], "pm" => [20, 0, 20, 20]) # {"am" => 31, "pm" => 0}
        def shares(boxes)
          none = boxes.transform_values { 0 }
          @blots.each_with_object(none) { |blot, shares| place(blot, boxes)&.then { |name| shares[name] += blot.length } }
        end

        # @param picture [GrayImage] in which they were found
        # @param boxes [Hash{Object => Array(Numeric, Numeric, Numeric, Numeric)}]
        # @param round [Integer] points round each box
        # @return [Hash{Object => GrayImage}] each box and what is round it, with the ink that belongs there alone
        def alone(picture, boxes, round)
          homes = @blots.group_by { |blot| place(blot, boxes) }
          boxes.to_h do |name, (x, y, width, height)|
            whole = [x - round, y - round, width + (2 * round), height + (2 * round)].map(&:round)
            [name, picture.only(homes.fetch(name, []).flatten(1), whole)]
          end
        end

        # @param box [Array(Numeric, Numeric, Numeric, Numeric)]
        # @return [Integer] points of ink that lies for the most part outside of it
        def outside(box) = @blots.reject { |blot| held(blot, box) * 2 > blot.length }.sum(&:length)

        private

        def together(left)
          blots = []
          blots << taken(left, left.first) until left.empty?
          blots.reject { |blot| blot.length < DUST }
        end

        def taken(left, first)
          left.delete(first)
          blot = [first]
          blot.each do |column, row|
            NEAR.each do |across, down|
              other = [column + across, row + down]
              blot << other if left.delete?(other)
            end
          end
        end

        def place(blot, boxes)
          held = boxes.transform_values { |box| held(blot, box) }
          name, most = held.max_by(&:last)
          name if most.positive?
        end

        def held(blot, (x, y, width, height))
          blot.count { |column, row| column.between?(x, x + width) && row.between?(y, y + height) }
        end
      end
    end
  end
end
