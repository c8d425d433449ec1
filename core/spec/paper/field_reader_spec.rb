# frozen_string_literal: true

require_relative "drawings"

RSpec.describe Vantick::Core::Paper::FieldReader do
  include Drawings

  let(:reader) { described_class.new(task(:day_half), Vantick::Core::Dial::DayTime.parse("09:00")) }
  let(:empty) { picture(25, 25) { |rows| frame(rows) } }
  let(:ticked) { picture(25, 25) { |rows| frame(rows) && line(rows, [5, 5], [19, 19]) } }

  def frame(rows)
    rows.each { |row| row[0] = row[-1] = 30 }
    [rows.first, rows.last].each { |row| row.fill(30) }
  end

  it "are ticked, empty, or unclear where two are" do
    expect(reader.ticks({ "am" => ticked, "pm" => empty })).to have_attributes(text: "a.m.", sure: true)
    expect(reader.ticks({ "am" => empty, "pm" => empty })).to eq(described_class::BLANK)
    expect(reader.ticks({ "am" => ticked, "pm" => ticked })).to have_attributes(text: "", sure: false, guesses: %w[a.m. p.m.])
  end

  it "name a cause where one is ticked, offer both where two are, and are blank with an empty line alone" do
    line = picture(300, 60) { |rows| line(rows, [2, 54], [297, 54]) }
    written = picture(300, 60) { |rows| line(rows, [20, 40], [120, 15]) }
    boxes = ->(*marked) { { "sides_swapped" => marked[0], "next_hour_early" => marked[1] } }
    expect(reader.cause(boxes.call(empty, ticked), line)).to have_attributes(text: "next_hour_early", sure: false)
    expect(reader.cause(boxes.call(ticked, ticked), line)).to have_attributes(text: "", guesses: %w[sides_swapped next_hour_early])
    expect(reader.cause(boxes.call(empty, empty), line)).to eq(described_class::BLANK)
    expect(reader.cause(boxes.call(empty, empty), written)).to have_attributes(text: "", sure: false)
  end

  it "for digits are empty or not, and words are never read" do
    boxes = Array.new(4) { picture(39, 55) { |rows| frame(rows) } }
    expect(reader.digits(boxes)).to eq(described_class::BLANK)
    expect(reader.words(picture(300, 60) { |rows| line(rows, [2, 54], [297, 54]) })).to eq(described_class::BLANK)
    expect(reader.words(picture(300, 60) { |rows| line(rows, [20, 40], [120, 15]) })).to have_attributes(text: "", sure: false)
  end

  it "reads a one, drawn as a stroke, and says what else it may be" do
    one = picture(39, 55) { |rows| frame(rows) && line(rows, [20, 10], [19, 45], breadth: 5) }
    seen = described_class.digit(one)
    expect([seen.digit, seen.guesses.length, seen.mirrored]).to eq([1, 3, false])
  end

  def box(digit, seed)
    written(39, 55, seed) do |canvas, hand|
      canvas.stroke([[0, 0], [38, 0], [38, 54], [0, 54], [0, 0]], 2, 30)
      hand.write_digit(canvas, [0, 0, 39, 55], digit, 5.0) if digit
    end
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
    found = impossible.product([1, 2, 5]).map { |digits, seed| reader.digits(digits.map { |digit| box(digit, seed) }) }
    expect(found.map(&:sure)).to all(be(false))
    expect(found.flat_map { |seen| [seen.text, *seen.guesses] }).to all(match(/\A(?:1?\d|2[0-3]):[0-5]\d\z/))
    expect(reader.digits([7, 7, 3, 0].map { |digit| box(digit, 1) })).to have_attributes(text: "77:30", sure: false)
  end

  it "has digits turned round, which are read and remarked on" do
    turned = [2, 3, 7].product((1..8).to_a).map do |digit, seed|
      plain = box(digit, seed)
      rows = (0...plain.height).map { |row| plain.bytes.byteslice(row * plain.width, plain.width).reverse }
      [digit, described_class.digit(Vantick::Core::Paper::Picture.new(plain.width, plain.height, rows.join))]
    end
    expect(turned.count { |digit, seen| seen.mirrored && seen.digit == digit }).to be >= 8
    expect(turned.select { |digit, seen| seen.mirrored && seen.digit != digit }).to eq([])
  end

  it "has times in four boxes, and numbers in two, one of which may be empty" do
    reader = described_class.new(task(:dial_to_digital), time("7:25"))
    expect(reader.digits([nil, 7, 2, 5].map { |digit| box(digit, 3) })).to have_attributes(text: "7:25", sure: true)
    expect(reader.digits([7, nil].map { |digit| box(digit, 3) })).to have_attributes(text: "7", sure: true)
    half = reader.digits([nil, 7, nil, 5].map { |digit| box(digit, 3) })
    expect([half.sure, half.guesses.length]).to eq([false, 3])
  end
end
