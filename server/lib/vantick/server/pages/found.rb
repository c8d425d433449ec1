# frozen_string_literal: true

module Vantick
  module Server
    module Pages
      # The pieces of paper in a picture, each with what its code says.
      module Found
        # A code is cut out in several ways, as one may be read where the others are not: points for each point of the page, and how often
        # it is halved then, so that grain goes (of 70 scans the first alone read 70 and the second 69; of others one in thirty was lost).
        # The first is tried alone, as cutting takes longer than anything else that is done with a page; the others where it fails.
        WAYS = [[[6, 2]], [[4, 1], [5, 1], [8, 2], [6, 1], [3, 0]]].freeze
        # White round it, which is what the two papers differ by, and more.
        WHITE = 8
        # No other kind of code is looked for: ours are QR codes.
        QR_ALONE = %w[-Sdisable -Sqrcode.enable].freeze
        # What is said of a file that has a code on it.
        CODED = /\Ahref='[^']*?(\d+)-\d+\.png'.*<data><!\[CDATA\[([^\]]*)\]\]>/m
        # Middles of the marks, from left to right, on A4.
        WIDTH = Documents::Page::SIZES.fetch("a4")[0] - (2 * Documents::Layout::EDGE) - Documents::Finder::MARK

        # A piece of paper.
        # @!attribute corners [Array<Array(Float, Float)>] the middles of its marks
        # @!attribute name [Documents::Finder::Name, nil]
        Piece = Struct.new(:corners, :name, keyword_init: true)

        class << self
          # @param picture [Core::Paper::GrayImage]
          # @return [Array<Piece>] from the top
          def of(picture)
            picture = picture.strengthened
            marks = Core::Paper::Corners.in(picture)
            whole = named(picture, marks.pieces.sort_by { |corners| corners.sum(&:last) })
            return whole if whole.any?(&:name)

            alone(picture, marks.aslant) || alone(picture, marks.torn) || whole
          end

          private

          # What only its code shows to be a piece.
          def alone(picture, quads) = named(picture, quads).find(&:name)&.then { |piece| [piece] }

          def named(picture, quads) = quads.zip(names(picture, quads)).map { |corners, name| Piece.new(corners:, name:) }

          # @return [Array<Documents::Finder::Name, nil>]
          def names(picture, quads)
            WAYS.reduce(quads.map { nil }) do |known, ways|
              sets = quads.zip(known).map { |corners, name| name ? [] : codes(picture, corners, ways) }
              known.zip(read(sets)).map { |before, name| before || name }
            end
          end

          # Where the code may be: on a page at the top, on a slip at the foot. Its place follows from how broad the piece is.
          def codes(picture, corners, ways)
            height = WIDTH / shape(corners)
            warp = Core::Paper::Homography.new([[0, 0], [WIDTH, 0], [WIDTH, height], [0, height]], corners)
            mark = Documents::Finder::MARK
            area = [-mark / 2, -mark / 2, WIDTH + mark, height + mark]
            side = Documents::Finder::CODE + (2 * WHITE)
            [Documents::Finder.on_page(area), Documents::Finder.on_slip(area)].product(ways).map do |(x, y), (scale, halved)|
              (1..halved).reduce(picture.piece(warp, [x - WHITE, y - WHITE, side, side], scale)) { |code, _| code.halved }
            end
          end

          def shape(corners)
            upper, right, lower, left = corners.each_with_index.map do |corner, at|
              other = corners[(at + 1) % 4]
              Math.hypot(corner[0] - other[0], corner[1] - other[1])
            end
            (upper + lower) / (right + left)
          end

          # @param sets [Array<Array<Core::Paper::GrayImage>>]
          # @return [Array<Documents::Finder::Name, nil>]
          def read(sets)
            return [] if sets.all?(&:empty?)

            found = to_json_fields(sets)
            sets.each_index.map { |set| found.filter_map { |of, text| Documents::Finder.read(text) if of.to_i == set }.first }
          end

          # @return [Array<Array(String, String)>] the set of each picture that has a code, and what it says
          def to_json_fields(sets)
            output = Outside::LockedRoom.open(:codes) do |room|
              files = sets.each_with_index.flat_map do |pictures, set|
                pictures.each_with_index.map { |picture, at| room.keep("#{set}-#{at}.png", GreyPng.write(picture)) }
              end
              room.start("zbarimg", "--quiet", "--xml", "--nodbus", *QR_ALONE, *files)
              room.read
            end
            output.split("<source ").filter_map { |source| source.match(CODED)&.captures }
          rescue Outside::LockedRoom::TooMuch
            []
          end
        end
      end
    end
  end
end
