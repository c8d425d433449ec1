# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # One page as a list of marks, in points from its upper left corner. It is drawn by a writer, as PDF or SVG, so
      # that a preview is the page as it will print. What is to be filled in is a field: whoever reads the page back looks there.
      class Page
        INK = "22303C"
        QUIET = "5C6B73"
        # Survives a copier, and leaves what stands on it legible.
        SHADE = "D3D7DA"
        SIZES = { "a4" => [595.28, 841.89], "letter" => [612.0, 792.0] }.freeze
        MARGIN = 42
        # Points in a millimetre.
        MM = 72 / 25.4
        # Nothing thinner survives a copier.
        THINNEST = 0.2 * MM

        Line = Struct.new(:from, :to, :width, :dash, :color)
        Circle = Struct.new(:center, :radius, :fill, :stroke, :width)
        Path = Struct.new(:steps, :fill, :stroke, :width)
        Text = Struct.new(:text, :x, :y, :points, :bold, :align, :color, :degrees)
        # How words look: in points, and turned by degrees clockwise about their place where `align` is `:center`.
        Look = Struct.new(:points, :bold, :align, :color, :degrees) do
          def initialize(size: 12, bold: false, align: :left, color: INK, degrees: 0) = super(size, bold, align, color, degrees)
        end
        # @!attribute kind [Symbol] `:hands`, `:digit`, `:tick` or `:words`
        # @!attribute item [Integer] which of the sheet's exercises, from 0
        # @!attribute part [Integer, String, nil] which digit of an answer, what a tick means
        # @!attribute box [Array(Float, Float, Float, Float)] x, y, width and height in points
        Field = Struct.new(:kind, :item, :part, :box)

        # @return [Array<Line, Circle, Path, Text>] in the order of drawing
        attr_reader :marks
        # @return [Array<Field>]
        attr_reader :fields
        # @return [Float] points
        attr_reader :width, :height
        # @return [Array(Float, Float, Float, Float), nil] what the marks stand in the corners of, where it can be read back
        attr_accessor :area

        # @param paper [String] one of {SIZES}
        # @param size [Array(Float, Float)] points
        def initialize(paper: "a4", size: SIZES.fetch(paper))
          @width, @height = size
          @marks = []
          @fields = []
        end

        # @return [Boolean] whether nothing is on it: the back of a sheet
        def blank? = marks.empty?

        # @return [Float] points between the margins
        def inner = width - (2 * MARGIN)

        def field(kind, item, part, *box) = fields << Field.new(kind, item, part, box)

        def line(from, to, width: 1, dash: nil, color: INK) = marks << Line.new(from, to, width, dash, color)

        def circle(center, radius, fill: nil, stroke: INK, width: 1) = marks << Circle.new(center, radius, fill, stroke, width)

        # @param steps [Array<Array>] `[:move, x, y]`, `[:line, x, y]` or `[:curve, x, y, x, y, x, y]`
        def path(steps, fill: nil, stroke: nil, width: 1) = marks << Path.new(steps, fill, stroke, width)

        # @param y [Float] where the letters stand
        # @param look [Hash] parts of a {Look}
        def text(text, x, y, **look) = marks << Text.new(text.to_s, x, y, *Look.new(**look))

        def box(x, y, width, height, dash: nil)
          corners = [[x, y], [x + width, y], [x + width, y + height], [x, y + height], [x, y]]
          corners.each_cons(2) { |from, to| line(from, to, dash:) }
        end

        # A filled rectangle.
        def block(x, y, width, height, color: INK)
          path([[:move, x, y], [:line, x + width, y], [:line, x + width, y + height], [:line, x, y + height], [:line, x, y]], fill: color)
        end

        # Words in lines no longer than a width.
        # @param look [Hash] parts of a {Look}
        # @return [Float] how far below the last line the next may stand
        def paragraph(words, x, y, width, **look)
          points, bold = Look.new(**look).to_a
          lines = Letters.of(bold).lines(words, width, points)
          lines.each_with_index { |line, at| text(line, x, y + (at * points * 1.35), **look) }
          y + (lines.length * points * 1.35)
        end
      end
    end
  end
end
