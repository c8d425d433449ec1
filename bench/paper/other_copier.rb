# frozen_string_literal: true

require "open3"
require "vantick/server"
require "vips"

module Bench
  # A copier of another make than the demo's, which shares nothing with it.
  class OtherCopier
    # Dots for a point of paper: 160 in an inch.
    DOTS = 160 / 72.0
    # How it copies.
    # @!attribute turned [Float] degrees at most
    # @!attribute black [Integer] grey of what is printed black
    # @!attribute grain [Float] in grey values
    # @!attribute blur [Float] in dots
    # @!attribute quality [Integer] of JPEG
    Copy = Struct.new(:turned, :black, :grain, :blur, :quality, keyword_init: true)
    COPIES = { plain: Copy.new(turned: 1.5, black: 30, grain: 3.0, blur: 0.6, quality: 75).freeze,
               hard: Copy.new(turned: 3.0, black: 70, grain: 7.0, blur: 1.1, quality: 50).freeze }.freeze

    def initialize(random, kind)
      @random = random
      @copy = COPIES.fetch(kind)
    end

    # @param page [Vantick::Server::Documents::Page]
    # @param strokes [Array<String>] paths of SVG, in points of the page
    # @return [Vantick::Core::Paper::GrayImage]
    def copy(page, strokes)
      written = printed(page).composite(pencil(page, strokes), :over)
      picture(worn(grey(written.flatten(background: 255))).jpegsave_buffer(Q: @copy.quality))
    end

    private

    def printed(page)
      pdf = Vantick::Server::Documents::PdfWriter.write([page], title: "")
      program = ["pdftoppm", "-png", "-r", (DOTS * 72).to_s, "-singlefile", "-"]
      png, = Open3.capture2(*program, stdin_data: pdf, binmode: true)
      Vips::Image.new_from_buffer(png, "").colourspace("srgb")
    end

    def pencil(page, strokes)
      width, height = [page.width, page.height].map { |side| (side * DOTS).floor }
      head = %(<svg xmlns="http://www.w3.org/2000/svg" width="#{width}" height="#{height}"><g transform="scale(#{DOTS})">)
      Vips::Image.new_from_buffer("#{head}#{strokes.join}</g></svg>", "")
    end

    def grey(image) = image.colourspace("b-w").cast("uchar")[0]

    def worn(image)
      turned = image.similarity(angle: (@random.rand - 0.5) * 2 * @copy.turned, scale: 0.94 + (@random.rand * 0.02), background: [255])
      pale = (236 + @random.rand(16) - @copy.black) / 255.0
      ((turned.gaussblur(@copy.blur) * pale) + @copy.black + grain(turned)).cast("uchar")
    end

    def grain(image) = Vips::Image.gaussnoise(image.width, image.height, sigma: @copy.grain, mean: 0, seed: @random.rand(2**30))

    def picture(jpeg)
      image = grey(Vips::Image.new_from_buffer(jpeg, ""))
      Vantick::Core::Paper::GrayImage.new(image.width, image.height, image.write_to_memory)
    end
  end
end
