# frozen_string_literal: true

module Bench
  # Digits in the forms that schools teach and children make of them, drawn with a pencil of our own. The open set has hardly a one with
  # its upstroke, and few open fours. (Forms: common practice, no source.)
  class Strokes
    # Points of a side, and of the space round a digit.
    SIDE = 48
    SPACE = 7
    # Each form as strokes, each stroke as places that a curve goes through: across and down, from 0 to 1. A place that stands twice is a
    # corner, which some children round off.
    FORMS = {
      0 => [[[[0.6, 0.02], [0.2, 0.15], [0.02, 0.5], [0.2, 0.88], [0.5, 1], [0.82, 0.86], [0.98, 0.5], [0.82, 0.14], [0.55, 0]]],
            [[[0.5, 0], [0.08, 0.4], [0.3, 0.95], [0.8, 0.9], [0.95, 0.4], [0.62, 0.04], [0.5, 0.12]]]],
      1 => [[[[0.5, 0], [0.48, 0.5], [0.5, 1]]],
            [[[0.05, 0.38], [0.3, 0.2], [0.55, 0], [0.55, 0], [0.55, 0.5], [0.55, 1]]],
            [[[0.2, 0.22], [0.55, 0], [0.55, 0], [0.55, 1]]],
            [[[0.0, 0.55], [0.6, 0], [0.6, 0], [0.58, 1]]],
            [[[0.3, 0.3], [0.42, 0.12], [0.55, 0], [0.55, 0], [0.58, 0.5], [0.55, 1]]],
            [[[0.25, 0.2], [0.5, 0], [0.5, 0], [0.5, 1]], [[0.15, 1], [0.85, 0.98]]],
            [[[0.5, 0], [0.5, 1]], [[0.2, 1], [0.8, 1]]]],
      2 => [[[[0.05, 0.25], [0.25, 0.04], [0.6, 0], [0.88, 0.2], [0.7, 0.5], [0.35, 0.75], [0, 1], [0, 1], [0.5, 0.97], [1, 1]]],
            [[[0.1, 0.2], [0.5, 0], [0.85, 0.25], [0.55, 0.65], [0.1, 0.98], [0.12, 0.8], [0.4, 0.85], [0.7, 1], [1, 0.9]]]],
      3 => [[[[0.1, 0.12], [0.5, 0], [0.85, 0.2], [0.65, 0.42], [0.35, 0.47], [0.35, 0.47], [0.8, 0.55], [0.92, 0.8],
              [0.55, 1], [0.05, 0.9]]],
            [[[0.08, 0.02], [0.9, 0], [0.9, 0], [0.42, 0.4], [0.42, 0.4], [0.85, 0.52], [0.9, 0.8], [0.5, 1], [0.05, 0.9]]]],
      4 => [[[[0.55, 0], [0.28, 0.35], [0, 0.66], [0, 0.66], [0.5, 0.66], [1, 0.64]], [[0.68, 0.38], [0.66, 1]]],
            [[[0.15, 0.02], [0.08, 0.3], [0.08, 0.55], [0.08, 0.55], [0.5, 0.56], [0.9, 0.53]], [[0.75, 0], [0.72, 1]]],
            [[[0.3, 0], [0.02, 0.6], [0.02, 0.6], [0.95, 0.6]], [[0.7, 0.25], [0.65, 1]]],
            [[[0.68, 1], [0.7, 0], [0.7, 0], [0.02, 0.68], [0.02, 0.68], [1, 0.66]]],
            [[[0.1, 0], [0.05, 0.5], [0.3, 0.6], [0.75, 0.5]], [[0.8, 0.05], [0.75, 1]]]],
      5 => [[[[0.18, 0], [0.14, 0.42], [0.14, 0.42], [0.5, 0.36], [0.88, 0.6], [0.75, 0.92], [0.35, 1], [0.02, 0.92]],
             [[0.18, 0], [0.9, 0]]],
            [[[0.9, 0], [0.2, 0.02], [0.2, 0.02], [0.15, 0.42], [0.15, 0.42], [0.6, 0.4], [0.9, 0.7], [0.5, 1], [0.05, 0.92]]],
            [[[0.8, 0.02], [0.25, 0.05], [0.15, 0.35], [0.6, 0.5], [0.8, 0.8], [0.4, 1], [0.05, 0.88]]]],
      6 => [[[[0.8, 0.03], [0.35, 0.25], [0.05, 0.65], [0.2, 0.95], [0.6, 1], [0.88, 0.8], [0.7, 0.56], [0.35, 0.56], [0.08, 0.75]]],
            [[[0.45, 0], [0.12, 0.45], [0.1, 0.85], [0.45, 1], [0.85, 0.85], [0.72, 0.58], [0.3, 0.6], [0.12, 0.8]]]],
      7 => [[[[0, 0.03], [1, 0], [1, 0], [0.6, 0.5], [0.35, 1]]],
            [[[0, 0.03], [0.95, 0], [0.95, 0], [0.6, 0.5], [0.4, 1]], [[0.25, 0.5], [0.85, 0.47]]],
            [[[0.02, 0.2], [0.05, 0.02], [0.05, 0.02], [0.95, 0.02], [0.95, 0.02], [0.55, 0.55], [0.45, 1]]],
            [[[0.05, 0.1], [0.3, 0], [0.6, 0.08], [0.95, 0], [0.95, 0], [0.5, 1]], [[0.3, 0.52], [0.8, 0.5]]]],
      8 => [[[[0.85, 0.15], [0.5, 0], [0.15, 0.2], [0.5, 0.47], [0.88, 0.75], [0.5, 1], [0.12, 0.78], [0.5, 0.47], [0.85, 0.2],
              [0.8, 0.1]]],
            [[[0.5, 0], [0.2, 0.12], [0.2, 0.35], [0.5, 0.46], [0.8, 0.35], [0.8, 0.1], [0.5, 0]],
             [[0.5, 0.46], [0.1, 0.6], [0.1, 0.88], [0.5, 1], [0.9, 0.88], [0.9, 0.6], [0.5, 0.46]]]],
      9 => [[[[0.88, 0.2], [0.5, 0], [0.1, 0.2], [0.2, 0.48], [0.6, 0.48], [0.88, 0.15], [0.88, 0.15], [0.85, 0.6], [0.8, 1]]],
            [[[0.85, 0.25], [0.5, 0.02], [0.12, 0.25], [0.4, 0.52], [0.85, 0.25], [0.88, 0.15], [0.85, 0.75], [0.5, 1], [0.1, 0.88]]],
            [[[0.85, 0.1], [0.3, 0.05], [0.1, 0.35], [0.5, 0.5], [0.85, 0.1], [0.6, 1]]]]
    }.freeze

    # How many round their corners off, and how many of the light strokes have a gap (judgement).
    ROUNDED = 0.4
    GAPS = 0.15

    # How one is written.
    # @!attribute form [Array] one of {FORMS}, its corners round or not
    # @!attribute high [Float] in points; `wide` too
    # @!attribute slant [Float] in parts of the height
    # @!attribute turn [Float] in radians
    # @!attribute breadth [Float] of the pencil, half of it, in points
    Hand = Struct.new(:form, :high, :wide, :slant, :turn, :breadth, keyword_init: true)

    # @param random [Random]
    # @param one_hand [Boolean] whether all of a digit are written as the first one was, a little shaken
    def initialize(random, one_hand: false)
      @random = random
      @shake = one_hand ? 0.05 : 0.085
      @hands = {}
      @one_hand = one_hand
    end

    # @param digit [Integer] 0..9
    # @return [Array<Array<Float>>] rows of ink, 0 paper to 1 ink
    def digit(digit)
      ink = Array.new(SIDE) { Array.new(SIDE, 0.0) }
      hand = @one_hand ? (@hands[digit] ||= hand(digit)) : hand(digit)
      hand.form.each do |stroke|
        broken(curve(shaken(stroke)).map { |place| placed(place, hand) }, hand).each { |places| draw(ink, places, hand.breadth) }
      end
      ink
    end

    private

    def spread(most) = (@random.rand - 0.5) * 2 * most

    def hand(digit)
      high = (SIDE - (2 * SPACE)) * (0.55 + (@random.rand * 0.45))
      wide = high * (digit == 1 ? 0.25 + (@random.rand * 0.55) : 0.4 + (@random.rand * 0.6))
      Hand.new(form: form(digit), high:, wide:, slant: spread(0.35), turn: spread(0.12), breadth: 0.8 + (@random.rand * 1.6))
    end

    def form(digit)
      strokes = FORMS.fetch(digit).sample(random: @random)
      @random.rand < ROUNDED ? strokes.map(&:uniq) : strokes
    end

    # A pencil that hardly touches the paper leaves a gap.
    def broken(places, hand)
      return [places] unless hand.breadth < 1.4 && @random.rand < GAPS

      from = @random.rand(places.length)
      [places.first(from), places.drop(from + 2)]
    end

    def placed((across, down), hand)
      x = ((across - 0.5) * hand.wide) + (hand.slant * (0.5 - down) * hand.high)
      y = (down - 0.5) * hand.high
      cos = Math.cos(hand.turn)
      sin = Math.sin(hand.turn)
      [(SIDE / 2) + (x * cos) - (y * sin), (SIDE / 2) + (y * cos) + (x * sin)]
    end

    # Each place a little elsewhere; a corner stays one.
    def shaken(stroke)
      moved = Hash.new { |all, place| all[place] = place.map { |side| side + spread(@shake) } }
      stroke.map { |place| moved[place] }
    end

    # Through all places, between each two bent by those beside (Catmull and Rom 1974; from memory).
    def curve(stroke)
      places = [stroke.first, *stroke, stroke.last]
      places.each_cons(4).flat_map { |four| (0..9).map { |part| between(four, part / 10.0) } } + [stroke.last]
    end

    def between(four, part)
      four.transpose.map do |before, from, to, after|
        0.5 * ((2 * from) + ((to - before) * part) + (((2 * before) - (5 * from) + (4 * to) - after) * (part**2)) +
          (((3 * from) - before - (3 * to) + after) * (part**3)))
      end
    end

    # Dabs of the pencil, so near each other that they make a line.
    def draw(ink, places, breadth)
      places.each_cons(2) do |from, to|
        steps = [Math.hypot(to[0] - from[0], to[1] - from[1]).ceil, 1].max
        (0..steps).each { |step| dab(ink, from.zip(to).map { |one, other| one + ((other - one) * step / steps) }, breadth) }
      end
    end

    def dab(ink, (x, y), breadth)
      near = [x, y].map { |middle| ([middle.floor - breadth.ceil - 1, 0].max..[middle.floor + breadth.ceil + 1, SIDE - 1].min) }
      near.last.to_a.product(near.first.to_a) do |row, column|
        strong = (breadth + 0.5 - Math.hypot(column - x, row - y)).clamp(0.0, 1.0)
        ink[row][column] = strong if strong > ink[row][column]
      end
    end
  end
end
