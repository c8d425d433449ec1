# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # A grey picture as rows of values, 0 black to 255 white.
      class GrayImage
        # Share of a picture's points that are darker than its paper.
        PAPER = 0.8
        # Ink is so much darker than paper in parts of the way to the darkest ink, and in parts of the paper's own grain, which differs from
        # page to page (judgement: a light pencil). Grain is what lies between these shares of a piece's points.
        INK = 0.42
        GRAINS = 6
        GRAIN = (0.2..0.5)
        CONTRAST = (16..34)
        BESIDE = [-1, 0, 1].product([-1, 0, 1]).freeze
        # Share of a picture's points that are as dark as its darkest ink.
        DARKEST = 0.004
        # Black that is lighter than this was copied palely; black is what this share of a page's points is darker than, as marks and a code
        # have no more.
        PALE = 60
        BLACK = 0.0015
        # Points looked at for what is paper and what is ink.
        LOOKED_AT = 1500

        # @return [Integer] points
        attr_reader :width, :height
        # @return [String] a byte for each point, row by row
        attr_reader :bytes

        # @param width [Integer]
        # @param height [Integer]
        # @param bytes [String]
        # @raise [ArgumentError] where there are not as many values as points
        def initialize(width, height, bytes)
          raise ArgumentError, "#{bytes.bytesize} values for #{width} by #{height} points" unless bytes.bytesize == width * height

          @width = width
          @height = height
          @bytes = bytes
        end

        # @param x [Numeric] points from the left; outside the picture is paper
        # @param y [Numeric] points from the top
        # @return [Float] between the four points round it
        def at(x, y)
          left = x.floor
          top = y.floor
          return 255.0 if left.negative? || top.negative? || left >= @width - 1 || top >= @height - 1

          place = (top * @width) + left
          across = x - left
          upper = (@bytes.getbyte(place) * (1 - across)) + (@bytes.getbyte(place + 1) * across)
          lower = (@bytes.getbyte(place + @width) * (1 - across)) + (@bytes.getbyte(place + @width + 1) * across)
          upper + ((lower - upper) * (y - top))
        end

        # @param warp [Homography] from the places of a page to points of this picture
        # @param box [Array(Numeric, Numeric, Numeric, Numeric)] x, y, width and height on the page
        # @param scale [Numeric] points of the piece for each unit of the page
        # @return [GrayImage] the piece, straightened; each point is the nearest of this picture
        def piece(warp, box, scale)
          x, y, width, height = box
          across, down = [width, height].map { |side| (side * scale).round.clamp(1, 2000) }
          bytes = String.new(capacity: across * down)
          down.times { |row| add_row(bytes, across, *warp.row(x + (0.5 / scale), y + ((row + 0.5) / scale), 1.0 / scale)) }
          GrayImage.new(across, down, bytes)
        end

        # @return [GrayImage] of half the size, each point the mean of four: grain goes, edges stay
        def halved
          across = @width / 2
          down = @height / 2
          greys = Array.new(down) do |row|
            upper, lower = [0, 1].map { |way| @bytes.byteslice(((row * 2) + way) * @width, across * 2).bytes }
            Array.new(across) { |column| (upper[column *= 2] + upper[column + 1] + lower[column] + lower[column + 1]) / 4 }
          end
          GrayImage.new(across, down, greys.map { |row| row.pack("C*") }.join)
        end

        # @return [GrayImage] with black that is black and paper that is white, where it is a pale copy; itself where it is none
        def strengthened
          black = sorted[(sorted.length * BLACK).floor]
          return self if black <= PALE || paper - black < CONTRAST.max

          greys = (0..255).map { |grey| ((grey - black) * 255 / (paper - black)).clamp(0, 255) }
          GrayImage.new(@width, @height, @bytes.each_byte.map { |grey| greys[grey] }.pack("C*"))
        end

        # @return [Integer] grey of the paper
        def paper = sorted[(sorted.length * PAPER).floor]

        # @return [Integer] grey of the darkest ink
        def darkest = sorted[(sorted.length * DARKEST).floor]

        # @return [Float] darker points are ink
        def ink_below
          paper - [(paper - darkest) * INK, (grain * GRAINS).clamp(CONTRAST)].max
        end

        # @param points [Array<Array(Integer, Integer)>] across and down, of strokes
        # @param box [Array(Integer, Integer, Integer, Integer)] x, y, width and height
        # @return [GrayImage] of the box, paper but for these points and those beside them
        def only(points, box)
          left, top, across, down = box
          bytes = paper.chr * (across * down)
          near(points).each do |column, row|
            place = [column - left, row - top]
            next unless place[0].between?(0, across - 1) && place[1].between?(0, down - 1)

            bytes.setbyte((place[1] * across) + place[0], @bytes.getbyte((row * @width) + column))
          end
          GrayImage.new(across, down, bytes)
        end

        # @return [Integer] points that are ink
        def ink
          below = ink_below
          @bytes.each_byte.count { |grey| grey < below }
        end

        private

        def near(points)
          all = points.flat_map { |column, row| BESIDE.map { |aside, below| [column + aside, row + below] } }.uniq
          all.select { |column, row| column.between?(0, @width - 1) && row.between?(0, @height - 1) }
        end

        def grain = GRAIN.minmax.map { |share| sorted[(sorted.length * share).floor] }.reduce(:-).abs

        # Places of a row lie on a line in the picture too: what changes from one to the next is added up. Where both of its ends are in
        # the picture all of it is.
        def add_row(bytes, across, place, step)
          ends = [place, place.zip(step).map { |from, by| from + (by * (across - 1)) }]
          return add_inside(bytes, across, place, step) if ends.all? { |u, v, depth| inside?(u / depth, v / depth) }

          across.times do |at|
            u, v, depth = place.zip(step).map { |from, by| from + (by * at) }
            bytes << (inside?(u / depth, v / depth) ? @bytes.getbyte(((v / depth).to_i * @width) + (u / depth).to_i) : 255)
          end
        end

        # A small way in from the edge, as sums of many steps are not quite exact.
        def inside?(column, row) = column >= 0.01 && row >= 0.01 && column < @width - 0.01 && row < @height - 0.01

        def add_inside(bytes, across, place, step)
          u, v, depth = place
          du, dv, ddepth = step
          from = @bytes
          width = @width
          across.times do
            bytes << from.getbyte(((v / depth).to_i * width) + (u / depth).to_i)
            u += du
            v += dv
            depth += ddepth
          end
        end

        def sorted
          @sorted ||= begin
            step = [(@bytes.bytesize / LOOKED_AT), 1].max
            (0...@bytes.bytesize).step(step).map { |place| @bytes.getbyte(place) }.sort
          end
        end
      end
    end
  end
end
