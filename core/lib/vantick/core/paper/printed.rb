# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # A piece of a page as it was printed. Its ink is taken off a picture of the same piece, so that what is left was written by hand,
      # wherever it lies.
      class Printed
        # Darker than so much of the way from white to black is print.
        DARK = 200
        # Print is looked for so many points to each side of where it should lie, and taken off so many points round it: paper stretches and
        # lies askew (judgement: .6 and .4 mm at five points a millimetre).
        ASKEW = 3
        ROUND = 2
        # Points of print by which its place is found. So many of them, in parts, have something there that is so dark, in parts of the way
        # to the darkest ink; where fewer have, the print lies elsewhere (measured: two thirds at least where it fits, a third at most 2 mm
        # off).
        LOOKED_AT = 240
        FITS = 0.5
        SOMETHING = 0.2

        # @param picture [GrayImage] of the printed piece
        def initialize(picture)
          @width = picture.width
          @height = picture.height
          @ink = places(picture)
          @sample = @ink.each_slice([@ink.length / LOOKED_AT, 1].max).map(&:first)
          @broad = broad
          freeze
        end

        # @return [Boolean] whether nothing is printed there
        def bare? = @ink.empty?

        # @param seen [GrayImage] the same piece of a page that was written on
        # @yield where the print does not fit: nothing is taken off then, and a person has to look
        # @return [GrayImage] without the print
        # @raise [ArgumentError] where it has another size
        def taken_from(seen)
          raise ArgumentError, "#{seen.width} by #{seen.height} points" unless [seen.width, seen.height] == [@width, @height]
          return seen if bare?

          place = askew(seen)
          return without(seen, place) if fits?(seen, place)

          yield if block_given?
          seen
        end

        private

        def without(seen, place)
          bytes = seen.bytes.dup
          paper = seen.paper
          at(@broad, place) { |offset| bytes.setbyte(offset, paper) }
          GrayImage.new(@width, @height, bytes)
        end

        def fits?(seen, place)
          lighter = seen.paper - ((seen.paper - seen.darkest) * SOMETHING)
          found = 0
          at(@sample, place) { |offset| found += 1 if seen.bytes.getbyte(offset) < lighter }
          found >= FITS * @sample.length
        end

        # @yieldparam offset [Integer] of each point that lies in the picture
        def at(points, (across, down))
          points.each do |column, row|
            column += across
            row += down
            yield (row * @width) + column if column.between?(0, @width - 1) && row.between?(0, @height - 1)
          end
        end

        def places(picture)
          (0...picture.bytes.bytesize).filter_map { |at| at.divmod(@width).reverse if picture.bytes.getbyte(at) < DARK }
        end

        # The print with some room round it.
        def broad
          near = (-ROUND..ROUND).to_a.product((-ROUND..ROUND).to_a)
          @ink.flat_map { |column, row| near.map { |across, down| [column + across, row + down] } }.uniq
        end

        # How far the print lies from its place: where it is darkest.
        def askew(seen)
          ways = (-ASKEW..ASKEW).to_a
          ways.product(ways).min_by { |across, down| [darkness(seen, across, down), across.abs + down.abs] }
        end

        # What lies outside is as light as paper can be.
        def darkness(seen, across, down)
          sum = 255 * @sample.length
          at(@sample, [across, down]) { |offset| sum -= 255 - seen.bytes.getbyte(offset) }
          sum
        end
      end
    end
  end
end
