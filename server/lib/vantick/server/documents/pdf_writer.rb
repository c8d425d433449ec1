# frozen_string_literal: true

require "prawn"

module Vantick
  module Server
    module Documents
      # Writes pages as one PDF, the same bytes for the same pages. What a mark needs of the pen is said only where it changes.
      class PdfWriter
        # A subset's name begins with six capitals (ISO 32000-1, 9.6.4, from memory); the library takes hexadecimal digits.
        SUBSET = %r{(?<=/)\h{6}(?=\+Andika)}
        CAPITALS = %w[0-9a-f A-P].freeze
        AUTHOR = "Vantick"
        # Of paths (ISO 32000-1, table 59, from memory).
        OPERATORS = { move: "m", line: "l", curve: "c" }.freeze

        class << self
          # @param pages [Array<Page>]
          # @param title [String]
          # @param made_at [Time, nil] not said where nothing is known of it
          # @param duplex [Symbol] what a printer is told: `:Simplex` or `:DuplexFlipLongEdge`
          # @return [String] the file
          def write(pages, title:, made_at: nil, duplex: :Simplex)
            info = { Title: title, Author: AUTHOR, Creator: AUTHOR, CreationDate: made_at }.compact
            pdf = Prawn::Document.new(skip_page_creation: true, margin: 0, compress: true, info:)
            pdf.font_families.update("Andika" => { normal: Letters::FILES.fetch(false), bold: Letters::FILES.fetch(true) })
            described(pdf, duplex)
            pages.each { |page| new(pdf, page).draw }
            pdf.render.force_encoding(Encoding::BINARY).gsub(SUBSET) { |tag| tag.tr(*CAPITALS) }
          end

          private

          # In which language it is, and that it is printed as large as it is: a dial of 42 mm stays one.
          def described(pdf, duplex)
            root = pdf.state.store.root
            root.data[:Lang] = PDF::Core::LiteralString.new("en")
            root.data[:ViewerPreferences] = { PrintScaling: :None, DisplayDocTitle: true, Duplex: duplex }
          end
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
          say("#{place(mark.from)} m #{place(mark.to)} l S")
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
          drawn = steps.map { |kind, *places| [*places.each_slice(2).map { |point| place(point) }, OPERATORS.fetch(kind)].join(" ") }
          say(drawn.join("\n"))
        end

        # Dials are thousands of lines: they are written as what a page is made of, without asking the library for each.
        def say(content) = @pdf.renderer.add_content(content)

        # To a thousandth of a point.
        def place((x, y)) = format("%.3f %.3f", x, @page.height - y) # rubocop:disable Style/FormatStringToken -- two numbers

        def text(mark)
          width = mark.align == :left ? 0 : Letters.of(mark.bold).width(mark.text, mark.points)
          x = mark.x - (mark.align == :center ? width / 2 : width)
          pen(:fill_color, mark.color)
          pen(:font, mark.bold ? :bold : :normal)
          write = -> { @pdf.draw_text(mark.text, at: flip(x, mark.y), size: mark.points) }
          mark.degrees.to_i.zero? ? write.call : @pdf.rotate(-mark.degrees, origin: flip(mark.x, mark.y), &write)
        end

        def flip(x, y) = [x, @page.height - y]
      end
    end
  end
end
