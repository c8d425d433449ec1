# frozen_string_literal: true

require_relative "../../demo/copier/child_hand"

# Small pictures that are drawn here, point by point, so that what is in them is known.
RSpec.describe Vantick::Core::Paper do
  def picture(width, height, paper: 240)
    rows = Array.new(height) { Array.new(width, paper) }
    yield rows if block_given?
    described_class::Picture.new(width, height, rows.flatten.pack("C*"))
  end

  # A straight line as broad as a pencil's.
  def line(rows, from, to, grey: 60, breadth: 3)
    steps = 200
    (0..steps).each do |at|
      x, y = [0, 1].map { |way| (from[way] + ((to[way] - from[way]) * at / steps.to_f)).round }
      dab = (-(breadth / 2)..(breadth / 2)).to_a.repeated_permutation(2)
      dab.each { |across, down| rows[y + down][x + across] = grey if rows.dig(y + down, x + across) }
    end
  end

  def tip(center, degrees, length)
    turn = degrees * Math::PI / 180
    [center + (length * Math.sin(turn)), center - (length * Math.cos(turn))]
  end

  def hands(*angles_and_lengths, **how)
    picture(138, 138) { |rows| angles_and_lengths.each { |degrees, length| line(rows, [69, 69], tip(69, degrees, length * 69), **how) } }
  end

  describe "hands" do
    # Every hour and quarter of the dial, but where the hands lie over each other.
    Vantick::Core::Dial::DialTime.all.select { |time| (time.minute % 20) == 5 && time.hands.gap_degrees > 12 }.each do |time|
      it "are seen at #{time}, within two degrees, the longer one as the minute hand" do
        drawn = time.hands
        seen = described_class::HandsSeen.new(hands([drawn.hour_degrees, 0.55], [drawn.minute_degrees, 0.9]))
        expect(seen).to be_sure
        found = seen.readings.first
        expect(Vantick::Core::Dial::Hands.apart(found.hour_degrees, drawn.hour_degrees).abs).to be < 2
        expect(Vantick::Core::Dial::Hands.apart(found.minute_degrees, drawn.minute_degrees).abs).to be < 2
      end
    end

    it "are not told for certain where they are as long as each other, lie over each other, or are not two" do
      [[[30, 0.8], [200, 0.82]], [[100, 0.55], [104, 0.9]], [[100, 0.9]], [[0, 0.9], [120, 0.6], [240, 0.8]]].each do |drawn|
        expect(described_class::HandsSeen.new(hands(*drawn))).not_to be_sure
      end
      expect(described_class::HandsSeen.new(hands([30, 0.8], [200, 0.82])).readings.length).to eq(2)
      expect(described_class::HandsSeen.new(picture(138, 138))).to be_blank
      expect(described_class::HandsSeen.new(hands([100, 0.9]))).not_to be_blank
    end

    it "are seen in a light pencil, and a dirty one" do
      [{ grey: 190 }, { grey: 20, breadth: 5 }].each do |how|
        expect(described_class::HandsSeen.new(hands([20, 0.55], [200, 0.9], **how))).to be_sure
      end
    end

    it "wait for a person where a little more would change the mark, whatever is right" do
      reader = described_class::FieldReader.new(task(:digital_to_dial), time("3:00"))
      sure = [0, 4, 6, 8, 30].to_h { |off| [off, reader.hands(hands([90, 0.55], [off, 0.9])).sure] }
      expect(sure).to eq(0 => true, 4 => true, 6 => false, 8 => true, 30 => true)
      expect(reader.hands(picture(138, 138))).to eq(described_class::FieldReader::BLANK)
    end
  end

  # As the copier's stand-in has children write: bent, with arrow heads, drawn twice, rubbed out, in pencils of all kinds.
  describe "what made-up children write" do
    def written(width, height, seed)
      canvas = Vantick::Copier::Canvas.new(width, height)
      yield canvas, Vantick::Copier::ChildHand.new(Random.new(seed))
      grain = Random.new(seed)
      described_class::Picture.new(width, height, canvas.bytes.bytes.map { |grey| (grey - 6 + grain.rand(12)).clamp(0, 255) }.pack("C*"))
    end

    def box(digit, seed)
      written(39, 55, seed) do |canvas, hand|
        canvas.stroke([[0, 0], [38, 0], [38, 54], [0, 54], [0, 0]], 2, 30)
        hand.write_digit(canvas, [0, 0, 39, 55], digit, 5.0) if digit
      end
    end

    it "has hands that are found where they point to, four of five times without a person" do
      off = (1..120).map do |seed|
        time = Vantick::Core::Dial::DialTime.all[(seed * 173) % 720]
        hands = [time.hands.hour_degrees.to_f, time.hands.minute_degrees.to_f]
        drawn = written(138, 138, seed) { |canvas, hand| hand.draw_hands(canvas, [69, 69], 69, hands, 5.0) }
        seen = described_class::HandsSeen.new(drawn)
        found = seen.readings.first if seen.sure?
        next unless found

        [found.hour_degrees, found.minute_degrees].zip(hands).map { |one, other| Vantick::Core::Dial::Hands.apart(one, other).abs }.max
      end
      expect(off.compact.length).to be >= 96
      expect(off.compact.count { |degrees| degrees < 2 }).to be >= off.compact.length * 0.95
      expect(off.compact.max).to be < 8
    end

    it "has digits that are read, and none is sure that is read wrongly" do
      read = (0..9).to_a.product((1..12).to_a).to_h { |digit, seed| [[digit, seed], described_class::FieldReader.digit(box(digit, seed))] }
      expect(read.select { |(digit, _), seen| seen.sure? && seen.digit != digit }).to eq({})
      expect(read.count { |(digit, _), seen| seen.digit == digit }).to be >= 114
      expect(read.count { |_, seen| seen.sure? }).to be >= 84
    end

    it "has digits turned round, which are read and remarked on" do
      turned = [2, 3, 7].product((1..8).to_a).map do |digit, seed|
        plain = box(digit, seed)
        rows = (0...plain.height).map { |row| plain.bytes.byteslice(row * plain.width, plain.width).reverse }
        [digit, described_class::FieldReader.digit(described_class::Picture.new(plain.width, plain.height, rows.join))]
      end
      expect(turned.count { |digit, seen| seen.mirrored && seen.digit == digit }).to be >= 8
      expect(turned.select { |digit, seen| seen.mirrored && seen.digit != digit }).to eq([])
    end

    it "has times in four boxes, and numbers in two, one of which may be empty" do
      reader = described_class::FieldReader.new(task(:dial_to_digital), time("7:25"))
      expect(reader.digits([nil, 7, 2, 5].map { |digit| box(digit, 3) })).to have_attributes(text: "7:25", sure: true)
      expect(reader.digits([7, nil].map { |digit| box(digit, 3) })).to have_attributes(text: "7", sure: true)
      half = reader.digits([nil, 7, nil, 5].map { |digit| box(digit, 3) })
      expect([half.sure, half.guesses.length]).to eq([false, 3])
    end
  end

  describe "the four marks" do
    # Corners of a piece of paper, turned about the middle of a page; the first mark is open.
    def page(degrees, size: [900, 1300], open: 0)
      middle = [620, 877]
      ways = [[-1, -1], [1, -1], [1, 1], [-1, 1]]
      corners = ways.map { |across, down| turned(middle, across * size[0] / 2, down * size[1] / 2, degrees) }
      [picture(1240, 1754) { |rows| corners.each_with_index { |corner, at| mark(rows, corner, at == open) } }, corners]
    end

    def turned(middle, across, down, degrees)
      turn = degrees * Math::PI / 180
      [middle[0] + (across * Math.cos(turn)) - (down * Math.sin(turn)), middle[1] + (across * Math.sin(turn)) + (down * Math.cos(turn))]
    end

    def mark(rows, middle, open)
      x, y = middle.map(&:round)
      (-17..17).to_a.repeated_permutation(2) do |across, down|
        rows[y + down][x + across] = open && [across.abs, down.abs].max <= 5 ? 235 : 30
      end
    end

    [0, 2, -3, 90, 180, 183].each do |degrees|
      it "are found on a page turned by #{degrees} degrees, the open one first" do
        taken, corners = page(degrees, size: degrees == 90 ? [1000, 900] : [900, 1300])
        found = described_class::Corners.of(taken)
        expect(found.length).to eq(1)
        found.first.zip(corners) { |one, other| expect(Math.hypot(one[0] - other[0], one[1] - other[1])).to be < 2 }
      end
    end

    it "are not found on a blank page, nor where one is missing, or far from where the others would have it" do
      expect(described_class::Corners.of(picture(1240, 1754))).to eq([])
      expect(described_class::Corners.of(page(0, open: 9).first)).to eq([])
      astray = picture(1240, 1754) do |rows|
        [[100, 100], [1100, 100], [700, 1000], [100, 1600]].each_with_index { |corner, at| mark(rows, corner, at.zero?) }
        line(rows, [300, 300], [340, 300], breadth: 9, grey: 30)
      end
      expect(described_class::Corners.of(astray)).to eq([])
    end

    it "are told from each other where a picture has several pieces: each open one has its nearest" do
      two = picture(1240, 1754) do |rows|
        [100, 900].each do |top|
          [[100, top], [1100, top], [1100, top + 700], [100, top + 700]].each_with_index { |corner, at| mark(rows, corner, at.zero?) }
        end
      end
      tops = described_class::Corners.of(two).map { |corners| corners.map { |corner| corner[1].round(-1) } }
      expect(tops).to contain_exactly([100, 100, 800, 800], [900, 900, 1600, 1600])
    end
  end

  describe "a warp" do
    it "takes the corners where they lie, and what is between them in a picture from aslant" do
      onto = [[10, 12], [205, 30], [190, 260], [22, 240]]
      warp = described_class::Warp.new([[0, 0], [100, 0], [100, 120], [0, 120]], onto)
      [[0, 0], [100, 0], [100, 120], [0, 120]].zip(onto) do |from, to|
        warp.call(*from).zip(to) { |one, other| expect(one).to be_within(1e-6).of(other) }
      end
      # Lines stay lines: the middle lies where the diagonals cross.
      x, y = warp.call(50, 60)
      expect((x - 10) * (260 - 12)).to be_within(1e-6).of((y - 12) * (190 - 10))
    end

    it "cuts a piece out straight" do
      taken = picture(200, 200) { |rows| (80..119).each { |row| (60..139).each { |column| rows[row][column] = 10 } } }
      warp = described_class::Warp.new([[0, 0], [1, 0], [1, 1], [0, 1]], [[0, 0], [200, 0], [200, 200], [0, 200]])
      piece = taken.piece(warp, [0.3, 0.4, 0.4, 0.2], 100)
      expect([piece.width, piece.height, piece.bytes.bytes.uniq]).to eq([40, 20, [10]])
      expect { described_class::Warp.new([[0, 0]] * 4, [[0, 0]] * 4) }.to raise_error(ZeroDivisionError)
    end
  end

  describe "boxes" do
    let(:reader) { described_class::FieldReader.new(task(:day_half), Vantick::Core::Dial::DayTime.parse("09:00")) }
    let(:empty) { picture(25, 25) { |rows| frame(rows) } }
    let(:ticked) { picture(25, 25) { |rows| frame(rows) && line(rows, [5, 5], [19, 19]) } }

    def frame(rows)
      rows.each { |row| row[0] = row[-1] = 30 }
      [rows.first, rows.last].each { |row| row.fill(30) }
    end

    it "are ticked, empty, or unclear where two are" do
      expect(reader.ticks({ "am" => ticked, "pm" => empty })).to have_attributes(text: "a.m.", sure: true)
      expect(reader.ticks({ "am" => empty, "pm" => empty })).to eq(described_class::FieldReader::BLANK)
      expect(reader.ticks({ "am" => ticked, "pm" => ticked })).to have_attributes(text: "", sure: false, guesses: %w[a.m. p.m.])
    end

    it "for digits are empty or not, and words are never read" do
      boxes = Array.new(4) { picture(39, 55) { |rows| frame(rows) } }
      expect(reader.digits(boxes)).to eq(described_class::FieldReader::BLANK)
      expect(reader.words(picture(300, 60) { |rows| line(rows, [2, 54], [297, 54]) })).to eq(described_class::FieldReader::BLANK)
      expect(reader.words(picture(300, 60) { |rows| line(rows, [20, 40], [120, 15]) })).to have_attributes(text: "", sure: false)
    end

    it "reads a one, drawn as a stroke, and says what else it may be" do
      one = picture(39, 55) { |rows| frame(rows) && line(rows, [20, 10], [19, 45], breadth: 5) }
      seen = described_class::FieldReader.digit(one)
      expect([seen.digit, seen.guesses.length, seen.mirrored]).to eq([1, 3, false])
    end
  end

  it "takes what lies outside of a picture for paper, and finds no digit on paper" do
    dark = described_class::Picture.new(4, 4, "\0" * 16)
    expect([dark.at(-1, 0), dark.at(1, 9), dark.at(1, 1)]).to eq([255.0, 255.0, 0.0])
    warp = described_class::Warp.new([[0, 0], [4, 0], [4, 4], [0, 4]], [[0, 0], [4, 0], [4, 4], [0, 4]])
    expect(dark.piece(warp, [3, 3, 2, 2], 1).bytes.bytes).to eq([0, 255, 255, 255])
    expect(described_class::DigitFeatures.of(Array.new(9) { [0.0] * 9 })).to be_nil
    expect(described_class::DigitReader.standard.read(Array.new(9) { [0.0] * 9 })).to eq(described_class::DigitReader::BLANK)
  end

  it "refuses a picture that has not a value for each point" do
    expect { described_class::Picture.new(2, 2, "x") }.to raise_error(ArgumentError, /1 values for 2 by 2/)
  end
end
