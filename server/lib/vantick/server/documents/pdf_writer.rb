# frozen_string_literal: true

require "prawn"

module Vantick
  module Server
    module Documents
      # Writes pages as one PDF. What a mark needs of the pen is said only where it changes.
      class PdfWriter
        # @param pages [Array<Page>]
        # @param title [String]
        # @param made_at [Time]
        # @return [String] the file
        def self.write(pages, title:, made_at:)
          pdf = Prawn::Document.new(skip_page_creation: true, margin: 0, compress: true, info: { Title: title, CreationDate: made_at })
          pdf.font_families.update("Andika" => { normal: Letters::FILES.fetch(false), bold: Letters::FILES.fetch(true) })
          pages.each { |page| new(pdf, page).draw }
          pdf.render
        end

        def initialize(pdf, page)
          @pdf = pdf
          @page = page
          @pen = {}
        end

        def draw
          @pdf.start_new_page(size: [@page.width, @page.height], margin: 0)
          @page.marks.each { |mark| mark(mark) }
        end

        private

        def mark(mark)
          case mark
          when Page::Line then line(mark)
          when Page::Circle then paint(mark) { @pdf.circle(flip(*mark.center), mark.radius) }
          when Page::Path then paint(mark) { steps(mark.steps) }
          when Page::Text then text(mark)
          end
        end

        # Changes the pen where it is another.
        def pen(name, value)
          return if @pen[name] == value

          @pen[name] = value
          name == :font ? @pdf.font("Andika", style: value) : @pdf.public_send(:"#{name}=", value)
        end

        def line(mark)
          pen(:stroke_color, mark.color)
          pen(:line_width, mark.width)
          @pdf.dash(mark.dash) if mark.dash
          @pdf.stroke_line(flip(*mark.from), flip(*mark.to))
          @pdf.undash if mark.dash
        end

        def paint(mark)
          pen(:fill_color, mark.fill) if mark.fill
          pen(:stroke_color, mark.stroke) if mark.stroke
          pen(:line_width, mark.width) if mark.stroke
          yield
          return mark.stroke ? @pdf.fill_and_stroke : @pdf.fill if mark.fill

          @pdf.stroke
        end

        def steps(steps)
          steps.each do |kind, *places|
            points = places.each_slice(2).map { |x, y| flip(x, y) }
            case kind
            when :move then @pdf.move_to(points[0])
            when :line then @pdf.line_to(points[0])
            else @pdf.curve_to(points[2], bounds: points[0, 2])
            end
          end
        end

        def text(mark)
          width = mark.align == :left ? 0 : Letters.of(mark.bold).width(mark.text, mark.points)
          x = mark.x - (mark.align == :center ? width / 2 : width)
          pen(:fill_color, mark.color)
          pen(:font, mark.bold ? :bold : :normal)
          @pdf.draw_text(mark.text, at: flip(x, mark.y), size: mark.points)
        end

        def flip(x, y) = [x, @page.height - y]
      end
    end
  end
end
