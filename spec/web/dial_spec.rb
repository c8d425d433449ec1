# frozen_string_literal: true

# The dial's drawing on screen, held to Ruby's own arithmetic and to the dial on paper.
RSpec.describe "The dial on screen" do
  let(:paper) { Vantick::Server::Documents::Dial }

  def place(degrees, radius)
    turn = degrees * Math::PI / 180
    [radius * Math.sin(turn), -radius * Math.cos(turn)]
  end

  it "has every degree where it belongs, and finds it again from there" do
    found = lab(<<~JS)
      return Array.from({ length: 360 }, (_, degrees) => {
        const point = lab.geometry.pointAt(degrees, 80);
        return [point.x, point.y, lab.geometry.degreesTo(point)];
      });
    JS
    found.each_with_index do |(x, y, degrees), at|
      expect([x, y]).to match(place(at, 80).map { |part| be_within(1e-9).of(part) })
      expect((degrees - at + 180) % 360).to be_within(1e-9).of(180)
      expect(degrees).to be_between(0, 360)
    end
  end

  it "moves the long hand from any mark to any other the shorter way, and from between marks to the nearer one" do
    moved = lab(<<~JS)
      return Array.from({ length: 60 }, (_, from) =>
        Array.from({ length: 60 }, (_, to) => lab.geometry.marksMoved(from * 6, to * 6 + 2.9)));
    JS
    moved.each_with_index do |row, from|
      row.each_with_index { |marks, to| expect([(from + marks - to) % 60, marks.abs <= 30]).to eq([0, true]) }
    end
  end

  it "has sixty marks and twelve, each a line outwards of the same length" do
    { 1 => 60, 5 => 12 }.each do |every, count|
      lines = lab("return lab.geometry.ticks(#{every}, 70, 75)").scan(/M(\S+) (\S+)L(\S+) (\S+?)(?=M|\z)/).map { |line| line.map(&:to_f) }
      expect(lines.length).to eq(count)
      expect(lines.map { |x, y, to_x, to_y| [Math.hypot(x, y), Math.hypot(to_x, to_y)] })
        .to all(match([be_within(0.02).of(70), be_within(0.02).of(75)]))
    end
  end

  it "takes the large arc from a half turn on, in the direction of the hands or against it, and a whole turn nearly" do
    flags = lambda do |from, to|
      lab("return lab.geometry.arc(#{from}, #{to}, 60)")[/A60 60 0 (\d) (\d)/, 0].split.last(2).map(&:to_i)
    end
    expect([flags[0, 90], flags[0, 270], flags[90, 0], flags[300, 30]]).to eq([[0, 1], [1, 1], [0, 0], [1, 0]])
    x, y = lab("return lab.geometry.arc(0, 360, 60)").split.last(2).map(&:to_f)
    expect([x, y]).to match([be_within(0.2).of(0), be_within(0.01).of(-60)])
    expect(lab("return lab.geometry.slice(0, 200, 60)")).to match(/\AM0 0L.*A60 60 0 1 1 .*Z\z/)
  end

  it "has hands that end where those on paper do, within the marks and short of the numerals" do
    shapes, radii = lab("return [lab.geometry.HAND_SHAPES, lab.geometry.RADII]")
    tips = shapes.transform_values { |path| -path[/\AM0(-[\d.]+)/, 1].to_f }
    expect(tips).to eq(hour: -paper::HOUR.first.last, minute: -paper::MINUTE.first.last)
    expect([tips[:hour] < radii[:tickFive], tips[:minute] < radii[:track], tips[:minute] < radii[:numerals]]).to all(be(true))
  end
end
