# frozen_string_literal: true

require "matrix"
require_relative "other_copier"

module Bench
  # A phone held over a page that lies on a table, of a make of its own: a pinhole at a distance, turned and tilted.
  class OtherCamera
    # Points of its picture, and of the lens: so many for each part of the distance.
    SIZE = [2268, 3024].freeze
    LENS = 2325.0
    # Dots for a millimetre of paper.
    DOTS = 9.0
    # How a photograph is taken.
    # @!attribute light [Range] how bright the darker end is, in parts of the brighter
    # @!attribute shadow [Range] brightness within the shadow of a hand
    # @!attribute blur [Range] in points
    # @!attribute grain [Float] in grey values
    Taken = Struct.new(:light, :shadow, :blur, :grain, keyword_init: true)
    KINDS = { plain: Taken.new(light: 0.75..1.0, shadow: 0.8..1.0, blur: 0.6..1.5, grain: 3.0),
              hard: Taken.new(light: 0.45..0.8, shadow: 0.45..0.7, blur: 1.5..3.0, grain: 7.0) }.freeze

    def initialize(random, kind)
      @random = random
      @kind = KINDS.fetch(kind)
    end

    # @param page [Vantick::Server::Documents::Page]
    # @param tilt [Float] degrees that the phone is from straight above
    # @param strokes [Array<String>] what is written on it
    # @return [String] JPEG
    def take(page, tilt, strokes = [])
      seen = lit(grey(page, strokes).mapim(places(page, tilt), extend: :background, background: [table]))
      seen = seen.gaussblur(within(@kind.blur)) + Vips::Image.gaussnoise(*SIZE, sigma: @kind.grain, mean: 0, seed: @random.rand(2**30))
      seen.cast("uchar").jpegsave_buffer(Q: 80)
    end

    private

    def within(range) = range.min + (@random.rand * (range.max - range.min))
    def spread(most) = (@random.rand - 0.5) * 2 * most
    def table = 70 + @random.rand(110)

    def grey(page, strokes)
      scale = DOTS * 25.4 / 72
      pdf = Vantick::Server::Documents::PdfWriter.write([page], title: "")
      png, = Open3.capture2("pdftoppm", "-png", "-r", (DOTS * 25.4).to_s, "-singlefile", "-", stdin_data: pdf, binmode: true)
      paper = Vips::Image.new_from_buffer(png, "").colourspace("srgb")
      head = %(<svg xmlns="http://www.w3.org/2000/svg" width="#{paper.width}" height="#{paper.height}"><g transform="scale(#{scale})">)
      ink = Vips::Image.new_from_buffer("#{head}#{strokes.join}</g></svg>", "")
      paper.composite(ink, :over).flatten(background: 255).colourspace("b-w")[0].cast("uchar")
    end

    # For each point of the picture, where on the page it is.
    def places(page, tilt)
      back = lens(tilt, page).inverse.to_a
      at = Vips::Image.xyz(*SIZE)
      sides = back.map { |across, down, once| (at[0] * across) + (at[1] * down) + once }
      sides[0].bandjoin(sides[1]) / sides[2]
    end

    # From the page's dots to the picture's points: somebody who takes a photograph sees to it that all of the page is in it.
    def lens(tilt, page)
      wide, high = [page.width, page.height].map { |points| points * 25.4 / 72 }
      100.times do
        lens = held(tilt, wide, high)
        return lens if [0, wide * DOTS].product([0, high * DOTS]).all? { |place| inside?(lens, place) }
      end
      raise "no photograph of all of the page at #{tilt} degrees"
    end

    def inside?(lens, place)
      *sides, once = (lens * Vector[*place, 1]).to_a
      sides.zip(SIZE).all? { |at, side| (at / once).between?(0, side) }
    end

    def held(tilt, wide, high)
      far = high * (1.05 + (@random.rand * 0.4)) * LENS / SIZE[1]
      onto = Matrix[[1 / DOTS, 0, -wide / 2], [0, 1 / DOTS, -high / 2], [0, 0, 1]]
      Matrix[[LENS, 0, SIZE[0] / 2], [0, LENS, SIZE[1] / 2], [0, 0, 1]] * away(tilt, far) * onto
    end

    def away(tilt, far)
      turned = spin(spread(12)) * tip(tilt, @random.rand * 360)
      Matrix.columns([turned.column(0), turned.column(1), Vector[spread(6), spread(6), far]])
    end

    def spin(degrees)
      turn = degrees * Math::PI / 180
      Matrix[[Math.cos(turn), -Math.sin(turn), 0], [Math.sin(turn), Math.cos(turn), 0], [0, 0, 1]]
    end

    # About an axis in the page that lies so many degrees round.
    def tip(tilt, axis)
      turn = tilt * Math::PI / 180
      spin(axis) * Matrix[[1, 0, 0], [0, Math.cos(turn), -Math.sin(turn)], [0, Math.sin(turn), Math.cos(turn)]] * spin(-axis)
    end

    # Darker towards one side, and where a hand keeps the light off.
    def lit(seen)
      seen * rising(0, 1, within(@kind.light)) * shade * (225 + @random.rand(30)) / 255.0
    end

    # From somewhere across the picture on, within a few points.
    def shade
      from = 0.3 + (@random.rand * 0.5)
      rising(from, from + 0.01 + (@random.rand * 0.06), within(@kind.shadow))
    end

    # So bright on the one side, as bright as it is on the other.
    def rising(from, till, dark)
      across, down = [@random.rand * 6.28].flat_map { |way| [Math.cos(way), Math.sin(way)] }
      at = Vips::Image.xyz(*SIZE)
      along = (at[0] * across) + (at[1] * down)
      part = (((along - along.min) / (along.max - along.min)) - from) / (till - from)
      part = (part > 1).ifthenelse(1, (part > 0).ifthenelse(part, 0)) # rubocop:disable Style/NumericPredicate -- of each point
      (part * (1 - dark)) + dark
    end
  end
end
