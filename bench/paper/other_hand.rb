# frozen_string_literal: true

module Bench
  # A child's pencil of another make than the demo's: strokes as paths of SVG, in points of the page.
  class OtherHand
    # What children do who tick: in the box in four ways, beside it, a ring round it or round its words.
    TICKS = %i[check cross fill light beside ring ring_words].freeze
    # Of a small box, each stroke as places in it.
    IN_BOX = { check: [[[0.1, 0.5], [0.5, 0.95], [1.2, -0.2]]], cross: [[[0.1, 0.1], [0.9, 0.9]], [[0.9, 0.1], [0.1, 0.9]]],
               light: [[[0.2, 0.5], [0.45, 0.8], [0.8, 0.2]]], beside: [[[-0.5, 0.3], [-0.35, 0.7], [-0.1, -0.1]]],
               fill: (0..4).map { |at| [[0.1, 0.1 + (at * 0.18)], [0.9, 0.15 + (at * 0.18)]] } }.freeze
    # Digits, each in the ways in which children are taught it or write it, as strokes in a box of one by one. Lines between places are
    # rounded off.
    DIGITS = {
      0 => [[[[0.55, 0], [0.1, 0.15], [0, 0.5], [0.1, 0.85], [0.5, 1], [0.9, 0.85], [1, 0.5], [0.9, 0.15], [0.5, 0]]],
            [[[0.7, 0.05], [0.3, 0], [0.05, 0.3], [0.05, 0.75], [0.4, 1], [0.85, 0.9], [0.95, 0.4], [0.6, 0.02], [0.45, 0.08]]]],
      1 => [[[[0.5, 0], [0.5, 1]]], [[[0.1, 0.35], [0.55, 0], [0.55, 1]]], [[[0.2, 0.25], [0.5, 0], [0.5, 1]], [[0.15, 1], [0.85, 1]]]],
      2 => [[[[0.05, 0.2], [0.4, 0], [0.85, 0.15], [0.8, 0.45], [0.4, 0.75], [0, 1], [0.95, 1]]],
            [[[0.1, 0.25], [0.5, 0], [0.9, 0.25], [0.6, 0.65], [0.15, 0.95], [0.1, 0.8], [0.35, 0.8], [0.6, 1], [0.95, 0.92]]]],
      3 => [[[[0.1, 0.1], [0.55, 0], [0.85, 0.2], [0.7, 0.42], [0.4, 0.48], [0.8, 0.58], [0.95, 0.8], [0.5, 1], [0.05, 0.88]]],
            [[[0.1, 0], [0.9, 0], [0.45, 0.42], [0.9, 0.6], [0.85, 0.9], [0.4, 1], [0.05, 0.88]]]],
      4 => [[[[0.6, 0], [0, 0.65], [0.95, 0.65]], [[0.65, 0.4], [0.65, 1]]], [[[0.15, 0], [0.1, 0.5], [0.85, 0.5]], [[0.8, 0], [0.75, 1]]]],
      5 => [[[[0.2, 0], [0.15, 0.42], [0.6, 0.38], [0.9, 0.65], [0.7, 0.95], [0.1, 0.97]], [[0.2, 0], [0.9, 0.02]]],
            [[[0.85, 0], [0.2, 0], [0.15, 0.45], [0.65, 0.4], [0.85, 0.7], [0.5, 1], [0.05, 0.9]]]],
      6 => [[[[0.75, 0], [0.25, 0.35], [0.05, 0.75], [0.4, 1], [0.85, 0.85], [0.75, 0.55], [0.35, 0.5], [0.08, 0.75]]],
            [[[0.5, 0], [0.12, 0.5], [0.2, 0.95], [0.7, 1], [0.9, 0.7], [0.5, 0.55], [0.15, 0.75]]]],
      7 => [[[[0.05, 0], [0.95, 0], [0.4, 1]]], [[[0.05, 0.05], [0.9, 0], [0.4, 1]], [[0.25, 0.5], [0.85, 0.48]]],
            [[[0.05, 0.15], [0.1, 0], [0.95, 0.02], [0.6, 0.5], [0.5, 1]]]],
      8 => [[[[0.85, 0.15], [0.45, 0], [0.15, 0.2], [0.45, 0.45], [0.85, 0.7], [0.6, 1], [0.2, 0.9], [0.2, 0.65], [0.6, 0.45],
              [0.85, 0.15]]],
            [[[0.5, 0], [0.15, 0.22], [0.5, 0.45], [0.85, 0.22], [0.5, 0]],
             [[0.5, 0.45], [0.05, 0.75], [0.5, 1], [0.95, 0.75], [0.5, 0.45]]]],
      9 => [[[[0.85, 0.25], [0.5, 0], [0.1, 0.2], [0.3, 0.5], [0.8, 0.35], [0.85, 0.1], [0.85, 1]]],
            [[[0.8, 0.2], [0.4, 0.02], [0.1, 0.3], [0.5, 0.52], [0.85, 0.15], [0.8, 0.85], [0.45, 1], [0.1, 0.9]]]]
    }.freeze
    # Grey of the pencil, 0 black, and how broad it is, in points.
    PENCILS = { plain: [20..90, 1.1..2.2], hard: [110..165, 0.8..1.4] }.freeze
    SHAKEN = 1.1
    # Lengths of hands in parts of what lies within the marks, and how far they are off at most, in degrees.
    LENGTHS = [0.55, 0.88].freeze
    OFF = 2.5

    def initialize(random, kind)
      @random = random
      @grey, @breadth = PENCILS.fetch(kind)
      @ways = DIGITS.transform_values { |ways| ways.sample(random:) }
      @slant = spread(0.25)
      @wide = 0.45 + (random.rand * 0.3)
      @high = 0.5 + (random.rand * 0.3)
    end

    # @param box [Array(Float, Float, Float, Float)]
    # @param digit [Integer] always in this child's way
    # @return [Array<String>]
    def digit(box, digit)
      left, top, wide, high = within(box, digit == 1 ? 0.6 : 1.0)
      @ways.fetch(digit).map do |stroke|
        rounded(stroke.map { |across, down| [left + ((across + (@slant * (0.5 - down))) * wide), top + (down * high)] })
      end
    end

    # @param box [Array(Float, Float, Float, Float)] x, y, width and height
    # @param way [Symbol] one of {TICKS}
    # @param words [Float] how wide the words beside it are
    # @return [Array<String>]
    def tick(box, way, words)
      x, y, width, height = box
      middle = y + (height / 2)
      return [ring([x + (width / 2), middle], 11, 10)] if way == :ring
      return [ring([x + width + 4 + (words / 2), middle], (words / 2) + 3, 9)] if way == :ring_words

      IN_BOX.fetch(way).map { |stroke| stroke(stroke.map { |across, down| [x + (across * width), y + (down * height)] }) }
    end

    # @param center [Array(Float, Float)]
    # @param radius [Float] of what lies within the marks
    # @param hands [Core::Dial::Hands]
    # @return [Array<Array(Float, String)>] of each hand where it points, in degrees, and its stroke
    def hands(center, radius, hands)
      [hands.hour_degrees, hands.minute_degrees].zip(LENGTHS).map do |degrees, length|
        degrees += spread(OFF)
        [degrees % 360, stroke((0..6).map { |at| out(center, degrees, radius * (length + spread(0.05)) * at / 6) })]
      end
    end

    private

    def spread(most) = (@random.rand - 0.5) * 2 * most

    def out(center, degrees, length)
      turn = degrees * Math::PI / 180
      [center[0] + (Math.sin(turn) * length), center[1] - (Math.cos(turn) * length)]
    end

    def ring(center, wide, high)
      start = @random.rand * 6.28
      stroke((0..18).map { |at| [[Math.cos(start + (at * 0.36)), wide], [Math.sin(start + (at * 0.36)), high]] }
                    .map { |turn| center.zip(turn).map { |from, (way, far)| from + (way * far) } })
    end

    # Somewhere in the middle of a box, as large as this child writes.
    def within(box, narrow)
      x, y, width, height = box
      wide, high = [[width, @wide * narrow], [height, @high]].map { |side, part| side * part * (1 + spread(0.1)) }
      [x + ((width - wide) / 2) + spread(width * 0.08), y + ((height - high) / 2) + spread(height * 0.07), wide, high]
    end

    # Curves from the middle of each line to the middle of the next.
    def rounded(places)
      shaken = places.map { |place| shaken(place) }
      middles = shaken.each_cons(2).map { |pair| pair.transpose.map { |sides| sides.sum / 2 } }
      curves = shaken[1...-1].zip(middles.drop(1)).map { |corner, middle| "Q#{written(corner)} #{written(middle)}" }
      drawn(["M#{written(shaken[0])}", "L#{written(middles[0])}", *curves, "L#{written(shaken[-1])}"].join(" "))
    end

    def shaken(place) = place.map { |side| side + spread(SHAKEN / 2) }

    def written(place) = place.map { |side| side.round(2) }.join(" ")

    # A line through the places, a little shaken.
    def stroke(places)
      line = places.map { |place| written(shaken(place)) }
      drawn("M#{line.join(' L')}")
    end

    def drawn(path)
      grey = @random.rand(@grey)
      breadth = @random.rand(@breadth).round(2)
      look = %(fill="none" stroke="rgb(#{grey},#{grey},#{grey})" stroke-linecap="round" stroke-linejoin="round")
      %(<path d="#{path}" stroke-width="#{breadth}" #{look}/>)
    end
  end
end
