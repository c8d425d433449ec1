# frozen_string_literal: true

require "open3"
require "prawn"
require "stringio"
require "tmpdir"
require "vips"
require_relative "child_hand"

module Vantick
  # A stand-in for the school's copier: it prints a sheet, lets made-up children write on it, and scans the stack.
  module Copier
    # Points of a picture for one of a page: 150 in 25.4 mm.
    SCALE = 150 / 72.0
    PER_MM = 150 / 25.4

    # What a scan does to paper: it lies a little askew, the lamp is uneven, grain, and JPEG.
    class Scanner
      # @param random [Random]
      # @param turned [Float] degrees at most
      # @param quality [Integer] of JPEG
      # @param grain [Float] in grey values, more or less
      def initialize(random, turned: 3.0, quality: 60, grain: 5.5)
        @random = random
        @turned = turned
        @quality = quality
        @grain = grain
      end

      # @param canvas [Canvas]
      # @param upside_down [Boolean]
      # @return [String] JPEG
      def scan(canvas, upside_down: false)
        image = Vips::Image.new_from_memory_copy(canvas.bytes, canvas.width, canvas.height, 1, :uchar)
        degrees = (@random.rand - 0.5) * 2 * @turned
        image = image.similarity(angle: degrees + (upside_down ? 180 : 0), scale: 0.97 + (@random.rand * 0.05), background: [246])
        shaded(image).jpegsave_buffer(Q: @quality)
      end

      private

      def shaded(image)
        across = Vips::Image.xyz(image.width, image.height)[0] * ((@random.rand - 0.5) * 40 / image.width)
        grain = Vips::Image.gaussnoise(image.width, image.height, sigma: @grain * (0.5 + @random.rand), mean: 0, seed: @random.rand(2**30))
        ((image * (0.88 + (@random.rand * 0.1))) + across + grain + 4).cast("uchar")
      end
    end

    class << self
      # Pages of one child's sheet with what the child wrote on them.
      # @param pages [Array<Server::Documents::Page>]
      # @param answers [Array<String, nil>] by exercise, as they would be typed; nothing leaves it empty
      # @param hand [ChildHand]
      # @return [Array<Canvas>]
      def written(pages, answers, hand)
        printed(pages).zip(pages).map do |canvas, page|
          page.fields.group_by(&:item).each { |item, fields| write(canvas, fields, answers[item], hand) if answers[item] }
          canvas
        end
      end

      # @param pictures [Array<String>] JPEG
      # @return [String] as a copier sends them, in one PDF
      def pdf(pictures)
        pdf = Prawn::Document.new(skip_page_creation: true, margin: 0)
        pictures.each do |picture|
          pdf.start_new_page(size: [595.28, 841.89], margin: 0)
          pdf.image(StringIO.new(picture), at: [0, 841.89], fit: [595.28, 841.89])
        end
        pdf.render
      end

      private

      def printed(pages)
        Dir.mktmpdir do |folder|
          file = File.join(folder, "sheet.pdf")
          File.binwrite(file, Server::Documents::PdfWriter.write(pages, title: "Sheet"))
          Open3.capture2e("pdftoppm", "-gray", "-r", "150", file, File.join(folder, "page"))
          Dir[File.join(folder, "page*.pgm")].map do |path|
            image = Vips::Image.new_from_file(path)
            Canvas.new(image.width, image.height, image.write_to_memory)
          end
        end
      end

      def write(canvas, fields, answer, hand)
        boxes = fields.map { |field| [field, field.box.map { |place| place * SCALE }] }
        case fields.map(&:kind).uniq
        when %i[hands] then hands(canvas, boxes.first.last, answer, hand)
        when %i[tick words] then cause(canvas, boxes, answer, hand)
        when %i[tick] then ticks(canvas, boxes, answer, hand)
        when %i[words] then words(canvas, boxes, answer, hand)
        else digits(canvas, boxes, answer, hand)
        end
      end

      # What went wrong, and after a semicolon the right time.
      def cause(canvas, boxes, answer, hand)
        cause, time = answer.split(/\s*;\s*/)
        ticks(canvas, boxes, cause, hand)
        words(canvas, boxes, time, hand) if time
      end

      def ticks(canvas, boxes, part, hand)
        boxes.each { |field, box| hand.tick(canvas, box, PER_MM) if field.part == part }
      end

      def words(canvas, boxes, answer, hand)
        boxes.each { |field, box| hand.write_words(canvas, box, answer, PER_MM) if field.kind == :words }
      end

      def hands(canvas, box, answer, hand)
        radius = box[2] / 2
        angles = answer.scan(/[\d.]+/).map(&:to_f)
        hand.draw_hands(canvas, [box[0] + radius, box[1] + radius], radius, angles, PER_MM)
      end

      # Hours of one digit stand in the second box.
      def digits(canvas, boxes, answer, hand)
        signs = boxes.length == 4 ? answer.delete(":.").rjust(4) : answer.rjust(boxes.length)
        boxes.zip(signs.chars) { |(_, box), sign| hand.write_digit(canvas, box, sign.to_i, PER_MM) if sign.match?(/\d/) }
      end
    end
  end
end
