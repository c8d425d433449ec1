# frozen_string_literal: true

require_relative "drawings"

RSpec.describe Vantick::Core::Paper::FieldReader do
  include Drawings

  let(:reader) { described_class.new(task(:day_half), Vantick::Core::Dial::DayTime.parse("09:00")) }

  # Two boxes of 25 by 25 points and what is round them, without the print.
  places = [[0, 0, 60, 45], [60, 0, 60, 45]]
  box = 625.0

  def two
    picture(120, 45) { |rows| yield rows if block_given? }
  end

  def tick(rows, left) = line(rows, [left + 5, 15], [left + 19, 29])

  # A crooked ring, from the left box over the middle.
  def ring(rows, left, wide)
    turns = (0..12).map { |at| [left + 25 + (Math.cos(at * 0.53) * wide), 22 + (Math.sin(at * 0.53) * 17)] }
    turns.each_cons(2) { |from, to| line(rows, from, to, breadth: 2) }
  end

  {
    "a tick" => [->(it, rows) { it.tick(rows, 10) }, "a.m.", true],
    "nothing" => [->(_, _) {}, "", true],
    "a tick beside the box" => [->(it, rows) { it.line(rows, [62, 20], [67, 33]) }, "p.m.", true],
    "a ring that reaches over to the other" => [->(it, rows) { it.ring(rows, 10, 30) }, "a.m.", true],
    "a faint tick" => [->(it, rows) { it.line(rows, [15, 15], [30, 29], grey: 215) }, "a.m.", true],
    "dust" => [->(_, rows) { rows[20][20] = rows[20][21] = 40 }, "", true],
    "a tick in each" => [->(it, rows) { [10, 70].each { |left| it.tick(rows, left) } }, "", false],
    "one crossed out, and the other ticked" =>
      [->(it, rows) { (0..5).each { |at| it.line(rows, [10, 12 + (at * 3)], [34, 14 + (at * 3)]) } && it.tick(rows, 70) }, "", false]
  }.each do |what, (draw, text, sure)|
    it "reads #{what}: #{text.inspect}, #{sure ? 'sure' : 'asked'}" do
      seen = reader.ticks(two { |rows| draw.call(self, rows) }, %w[am pm].zip(places).to_h, box)
      expect([seen.text, seen.sure]).to eq([text, sure])
    end
  end

  it "name a cause where one is ticked, offer both where two are, and are blank with an empty line alone" do
    line = picture(300, 60)
    written = picture(300, 60) { |rows| line(rows, [20, 40], [120, 15]) }
    boxes = %w[sides_swapped next_hour_early].zip(places).to_h
    right, both = [[70], [10, 70]].map { |lefts| two { |rows| lefts.each { |left| tick(rows, left) } } }
    expect(reader.cause(right, boxes, box, line)).to have_attributes(text: "next_hour_early", sure: false)
    expect(reader.cause(both, boxes, box, line)).to have_attributes(text: "", guesses: %w[sides_swapped next_hour_early])
    expect(reader.cause(two, boxes, box, line)).to eq(described_class::BLANK)
    expect(reader.cause(two, boxes, box, written)).to have_attributes(text: "", sure: false)
  end

  # Boxes as they stand on paper, without the print, and what a made-up child wrote in them.
  def row(digits, seed, &more)
    boxes = digits.each_index.map { |at| [20 + (at * 43), 20, 39, 55] }
    seen = written(60 + (43 * digits.length), 95, seed) do |canvas, hand|
      digits.zip(boxes) { |digit, box| hand.write_digit(canvas, box, digit, 5.0) if digit }
      more&.call(canvas)
    end
    [seen, boxes]
  end

  it "is not sure of digits where somebody wrote outside the boxes" do
    reader = described_class.new(task(:dial_to_digital), time("7:25"))
    expect(reader.digits(*row([nil, 7, 2, 5], 3))).to have_attributes(text: "7:25", sure: true)
    crossed = row([nil, 7, 2, 5], 3) { |canvas| canvas.stroke([[200, 20], [210, 80]], 3, 60) }
    expect(reader.digits(*crossed)).to have_attributes(text: "7:25", sure: false)
  end

  it "for digits are empty or not, and words are never read" do
    expect(reader.digits(*row([nil] * 4, 1))).to eq(described_class::BLANK)
    expect(reader.words(picture(300, 60) { |rows| line(rows, [2, 54], [297, 54]) })).to eq(described_class::BLANK)
    expect(reader.words(picture(300, 60) { |rows| line(rows, [20, 40], [120, 15]) })).to have_attributes(text: "", sure: false)
  end

  it "reads a one, drawn as a stroke, and says what else it may be" do
    one = picture(39, 55) { |rows| line(rows, [20, 10], [19, 45], breadth: 5) }
    seen = described_class.digit(one)
    expect([seen.digit, seen.guesses.length, seen.mirrored]).to eq([1, 3, false])
  end

  def box(digit, seed)
    written(39, 55, seed) { |canvas, hand| hand.write_digit(canvas, [0, 0, 39, 55], digit, 5.0) }
  end

  it "has digits that are read, and none is sure that is read wrongly" do
    read = (0..9).to_a.product((1..12).to_a).to_h { |digit, seed| [[digit, seed], described_class.digit(box(digit, seed))] }
    expect(read.select { |(digit, _), seen| seen.sure? && seen.digit != digit }).to eq({})
    expect(read.count { |(digit, _), seen| seen.digit == digit }).to be >= 114
    expect(read.count { |_, seen| seen.sure? }).to be >= 84
  end

  # Read as a whole: what no time can be is never sure, and what may have been meant is offered.
  it "is never sure of four digits that are no time, and offers times alone" do
    impossible = [[nil, 4, 7, 8], [nil, 8, 9, 5], [2, 5, 1, 0], [nil, 3, 6, 0]]
    found = impossible.product([1, 2, 5]).map { |digits, seed| reader.digits(*row(digits, seed)) }
    expect(found.map(&:sure)).to all(be(false))
    expect(found.flat_map { |seen| [seen.text, *seen.guesses] }).to all(match(/\A(?:1?\d|2[0-3]):[0-5]\d\z/))
    expect(reader.digits(*row([7, 7, 3, 0], 1))).to have_attributes(text: "77:30", sure: false)
  end

  it "has digits turned round, which are read and remarked on" do
    turned = Vantick::Core::Paper::DigitReader::TURNED.product((1..8).to_a).map do |digit, seed|
      plain = box(digit, seed)
      rows = (0...plain.height).map { |row| plain.bytes.byteslice(row * plain.width, plain.width).reverse }
      [digit, described_class.digit(Vantick::Core::Paper::GrayImage.new(plain.width, plain.height, rows.join))]
    end
    expect(turned.count { |digit, seen| seen.mirrored && seen.digit == digit }).to be >= 46
    expect(turned.select { |digit, seen| seen.sure? && seen.digit != digit }).to eq([])
  end

  it "has times in four boxes, and numbers in two, one of which may be empty" do
    reader = described_class.new(task(:dial_to_digital), time("7:25"))
    expect(reader.digits(*row([nil, 7, 2, 5], 3))).to have_attributes(text: "7:25", sure: true)
    expect(reader.digits(*row([7, nil], 3))).to have_attributes(text: "7", sure: true)
    half = reader.digits(*row([nil, 7, nil, 5], 3))
    expect([half.sure, half.guesses.length]).to eq([false, 3])
  end
end
