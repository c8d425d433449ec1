# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # Draws a dial on a page. The hands are told apart by their shape, as printers have no colours to count on.
      class Dial
        # What a dial wears.
        NUMERALS = %w[all quarters none roman].freeze
        MARKS = %w[all fives none].freeze
        MINUTES = %w[none round both_sides].freeze
        HANDS = %w[both hour minute none].freeze
        ROMAN = %w[I II III IIII V VI VII VIII IX X XI XII].freeze
        USUAL = { numerals: "all", marks: "all", minute_numbers: "none", halves: false, hands: "both", hour_gap: nil, sides: nil }.freeze
        # Sizes of what stands round a dial, in hundredths of the radius; and how far from its middle it reaches.
        SIZES = { "all" => 17, "quarters" => 17, "roman" => 16, minutes: 15 }.freeze
        NUMBERED = 1.21
        # Within the marks, where hands are drawn: nothing else is there but the dot in the middle.
        INSIDE = 0.65
        # No child reads smaller numbers, in points.
        LEAST = 9
        # Words beside a dial: how far from its middle, down and to either side, and their size, in hundredths of the radius.
        WORDS = [118, -92, 19].freeze
        # Where the hour's place is shaded: round the numbers, outside of where hands are drawn, in hundredths of the radius.
        GAP = [77, 97.6].freeze
        # Outlines that point at the twelve, in hundredths of the radius: a short broad leaf, a long thin spear.
        HOUR = [[:move, 0, -53], [:curve, 8.5, -39, 10, -19, 3.4, 0], [:line, 3.4, 9], [:curve, 3.4, 13.5, -3.4, 13.5, -3.4, 9],
                [:line, -3.4, 0], [:curve, -10, -19, -8.5, -39, 0, -53]].freeze
        MINUTE = [[:move, 0, -74.5], [:line, 3, -58], [:line, 1.9, -58], [:line, 2.1, 15], [:curve, 2.1, 17.8, -2.1, 17.8, -2.1, 15],
                  [:line, -1.9, -58], [:line, -3, -58], [:line, 0, -74.5]].freeze

        class << self
          # @param look [Hash] see {USUAL}
          # @return [Float] how far a dial with this look reaches, in radii
          def reach(look) = look.fetch(:minute_numbers, "none") == "none" ? 1.0 : NUMBERED

          # @param look [Hash] see {USUAL}
          # @return [Float] the smallest radius at which everything on it can be read, in points
          def least_radius(look)
            numbers = [SIZES[look.fetch(:numerals, "all")] || SIZES["all"], (SIZES[:minutes] if reach(look) > 1)].compact
            LEAST * 100.0 / numbers.min
          end
        end

        # @param page [Page]
        # @param center [Array(Float, Float)] points
        # @param radius [Float] points, of the rim
        # @param wears [Hash] what differs from {USUAL}
        def initialize(page, center, radius, **wears)
          @page = page
          @center = center
          @scale = radius / 100.0
          @wears = USUAL.merge(wears)
        end

        # @param hands [Core::Dial::Hands, nil] nothing for an empty dial
        def draw(hands)
          face
          marks
          numerals
          minutes
          sides
          hands(hands) if hands
          @page.circle(@center, 3 * @scale, fill: Page::INK, stroke: nil)
        end

        private

        def face
          shade.draw if @wears[:halves]
          gap(@wears[:hour_gap]) if @wears[:hour_gap]
          @page.circle(@center, 98.5 * @scale, width: 1.8 * @scale)
        end

        def shade = @shade ||= DialShade.new(@page, @center, @scale)

        # From the number that the short hand has passed to the next.
        def gap(hour)
          near, far = GAP
          arc = Array.new(7) { |at| (hour * 30) + (at * 5) }
          outline = arc.map { |degrees| point(degrees, far) } + arc.reverse.map { |degrees| point(degrees, near) }
          steps = outline.map.with_index { |place, at| [at.zero? ? :move : :line, *place] }
          @page.path(steps, fill: Page::SHADE)
          outline.values_at(0, 13, 6, 7).each_slice(2) { |from, to| @page.line(from, to, width: Page::THINNEST, color: Page::QUIET) }
        end

        def marks
          return if @wears[:marks] == "none"

          60.times do |minute|
            five = (minute % 5).zero?
            next unless five || @wears[:marks] == "all"

            @page.line(point(minute * 6, five ? 65.5 : 70.5), point(minute * 6, 75), width: [(five ? 2 : 0.8) * @scale, Page::THINNEST].max)
          end
        end

        def numerals
          return if @wears[:numerals] == "none"

          shade.leave_numerals if @wears[:halves]
          (1..12).each do |numeral|
            next if @wears[:numerals] == "quarters" && numeral % 3 != 0

            @wears[:numerals] == "roman" ? roman(numeral) : label(numeral, numeral * 30, 86.5, SIZES["all"])
          end
        end

        # Feet towards the middle: upright they would cross the rim.
        def roman(numeral)
          x, y = point(numeral * 30, 86.5 - (SIZES["roman"] * 0.36))
          @page.text(ROMAN[numeral - 1], x, y, size: SIZES["roman"] * @scale, align: :center, degrees: numeral * 30)
        end

        def minutes
          return if @wears[:minute_numbers] == "none"

          12.times do |place|
            left = @wears[:minute_numbers] == "both_sides" && place > 6
            label(left ? 60 - (place * 5) : place * 5, place * 30, 111, SIZES[:minutes])
          end
        end

        # Where "to" and "past" are said.
        def sides
          across, down, size = WORDS
          @wears[:sides].to_a.zip([-across, across]) { |word, x| @page.text(word, *at(x, down), size: size * @scale, align: :center) }
        end

        def label(words, degrees, radius, size)
          x, y = point(degrees, radius)
          @page.text(words, x, y + (size * 0.36 * @scale), size: size * @scale, bold: true, align: :center)
        end

        def hands(hands)
          hand(HOUR, hands.hour_degrees) if %w[both hour].include?(@wears[:hands])
          hand(MINUTE, hands.minute_degrees) if %w[both minute].include?(@wears[:hands])
        end

        def hand(shape, degrees)
          steps = shape.map { |kind, *places| [kind, *places.each_slice(2).flat_map { |x, y| turned(x, y, degrees) }] }
          @page.path(steps, fill: Page::INK)
        end

        def turned(x, y, degrees)
          turn = degrees * Math::PI / 180
          at((x * Math.cos(turn)) - (y * Math.sin(turn)), (x * Math.sin(turn)) + (y * Math.cos(turn)))
        end

        def point(degrees, radius)
          turn = degrees * Math::PI / 180
          at(radius * Math.sin(turn), -radius * Math.cos(turn))
        end

        def at(x, y) = [@center[0] + (x * @scale), @center[1] + (y * @scale)]
      end
    end
  end
end
