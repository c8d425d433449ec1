# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # The left half of a dial, where minutes are left to go: shaded, and hatched where a copier takes the shade away.
      class DialShade
        RIM = 98.5
        # Between the lines, and how far round a numeral there are none, in hundredths of the radius.
        HATCH = 9
        PLATE = 11
        # Where numerals stand.
        NUMERALS = 86.5
        # Those within, and those on the border.
        WITHIN = (7..11)
        BORDER = [-NUMERALS, NUMERALS].freeze

        # @param page [Page]
        # @param center [Array(Float, Float)] points
        # @param scale [Float] points of a hundredth of the radius
        def initialize(page, center, scale)
          @page = page
          @center = center
          @scale = scale
        end

        def draw
          half(0, RIM)
          -90.step(90, HATCH) do |y|
            @page.line(at(-Math.sqrt((RIM**2) - (y**2)), y), at(0, y), width: Page::THINNEST, color: Page::QUIET)
          end
        end

        # No line runs through a numeral.
        def leave_numerals
          WITHIN.each do |numeral|
            turn = numeral * Math::PI / 6
            middle = at(NUMERALS * Math.sin(turn), -NUMERALS * Math.cos(turn))
            @page.circle(middle, PLATE * @scale, fill: Page::SHADE, stroke: nil)
          end
          BORDER.each { |down| half(down, PLATE) }
        end

        private

        # The left half of a disc on the border, by one curve of Bezier.
        def half(down, radius)
          bulge = radius * 4 / 3.0
          steps = [[:move, *at(0, down + radius)], [:curve, *at(-bulge, down + radius), *at(-bulge, down - radius), *at(0, down - radius)]]
          @page.path(steps, fill: Page::SHADE)
        end

        def at(x, y) = [@center[0] + (x * @scale), @center[1] + (y * @scale)]
      end
    end
  end
end
