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
    # Grey of the pencil, 0 black, and how broad it is, in points.
    PENCILS = { plain: [20..90, 1.1..2.2], hard: [110..165, 0.8..1.4] }.freeze
    SHAKEN = 1.1
    # Lengths of hands in parts of what lies within the marks, and how far they are off at most, in degrees.
    LENGTHS = [0.55, 0.88].freeze
    OFF = 2.5

    def initialize(random, kind)
      @random = random
      @grey, @breadth = PENCILS.fetch(kind)
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

    # A line through the places, a little shaken.
    def stroke(places)
      line = places.map { |place| place.map { |side| (side + spread(SHAKEN / 2)).round(2) }.join(" ") }
      grey = @random.rand(@grey)
      breadth = @random.rand(@breadth).round(2)
      look = %(fill="none" stroke="rgb(#{grey},#{grey},#{grey})" stroke-linecap="round" stroke-linejoin="round")
      %(<path d="M#{line.join(' L')}" stroke-width="#{breadth}" #{look}/>)
    end
  end
end
