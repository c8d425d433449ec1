# frozen_string_literal: true

RSpec.describe Vantick::Core::Paper::GrayImage do
  def grain(width, height, seed) = described_class.new(width, height, Random.new(seed).bytes(width * height))

  # Point by point, as a homography is defined: the nearest point of the picture, paper where there is none.
  def plainly_cut(picture, warp, box, scale)
    x, y, width, height = box
    rows = Array.new((height * scale).round) { |row| Array.new((width * scale).round) { |column| [column, row] } }
    rows.flatten(1).map do |column, row|
      u, v = warp.call(x + ((column + 0.5) / scale), y + ((row + 0.5) / scale))
      inside = u >= 0.01 && v >= 0.01 && u < picture.width - 0.01 && v < picture.height - 0.01
      inside ? picture.bytes.getbyte((v.floor * picture.width) + u.floor) : 255
    end
  end

  # Corners on a picture of 60 by 50, seen aslant; what is cut lies within it, across its edges, and outside.
  [[[3, 4], [55, 2], [57, 46], [5, 44]], [[50, 45], [8, 44], [4, 3], [54, 6]], [[-8, -6], [66, 3], [61, 58], [2, 52]]].each do |corners|
    it "has a piece cut out that is the same as one cut point by point, with corners at #{corners.join(' ')}" do
      picture = grain(60, 50, corners.flatten.sum)
      warp = Vantick::Core::Paper::Homography.new([[0, 0], [100, 0], [100, 80], [0, 80]], corners)
      [[10, 10, 60, 40], [-12, -9, 50, 30], [70, 50, 45, 50], [0, 0, 100, 80]].product([0.4, 0.9]).each do |box, scale|
        cut = picture.piece(warp, box, scale)
        expect([cut.width, cut.height]).to eq([box[2], box[3]].map { |side| (side * scale).round })
        expect(cut.bytes.bytes).to eq(plainly_cut(picture, warp, box, scale)), "#{box} at #{scale}"
      end
    end
  end

  it "is halved by the mean of each four points, a last row or column that is over left out" do
    picture = grain(7, 5, 3)
    half = picture.halved
    expect([half.width, half.height]).to eq([3, 2])
    means = [0, 2].flat_map do |row|
      [0, 2, 4].map do |column|
        [[0, 0], [1, 0], [0, 1], [1, 1]].sum { |across, down| picture.bytes.getbyte(((row + down) * 7) + column + across) } / 4
      end
    end
    expect(half.bytes.bytes).to eq(means)
  end

  it "tells paper from ink: in a light pencil, on grey paper, and where there is none" do
    page = ->(paper, ink, dark) { described_class.new(40, 40, (([ink] * dark) + ([paper] * (1600 - dark))).pack("C*")) }
    [[240, 30, 80], [240, 190, 80], [180, 90, 200]].each do |paper, ink, dark|
      picture = page[paper, ink, dark]
      expect(picture.paper).to eq(paper)
      expect(picture.ink_below).to be_between(ink + 1, paper - 16)
    end
    expect(page[240, 240, 1].ink_below).to eq(224)
  end

  it "takes no grain of the paper for ink, however coarse, and a faint pencil on fine paper for ink" do
    grain = Random.new(3)
    paper = ->(spread) { Array.new(1600) { (232 + ((grain.rand + grain.rand + grain.rand - 1.5) * spread)).round } }
    [2, 6, 10, 14].each { |spread| expect(described_class.new(40, 40, paper[spread].pack("C*")).ink).to eq(0), spread.to_s }
    faint = paper[4].each_with_index.map { |grey, at| at.between?(800, 880) ? grey - 24 : grey }
    expect(described_class.new(40, 40, faint.pack("C*")).ink).to be_between(75, 81)
  end

  it "makes a pale copy as strong as any, and leaves all others and white paper as they are" do
    page = ->(paper, ink) { described_class.new(40, 40, (([ink] * 100) + ([paper] * 1500)).pack("C*")) }
    expect(page[240, 140].strengthened.bytes.bytes.uniq).to eq([0, 255])
    [[240, 40], [240, 240], [250, 230]].each do |paper, ink|
      picture = page[paper, ink]
      expect(picture.strengthened).to be(picture)
    end
  end

  it "takes what lies outside of a picture for paper, and finds no digit on paper" do
    dark = described_class.new(4, 4, "\0" * 16)
    expect([dark.at(-1, 0), dark.at(1, 9), dark.at(1, 1)]).to eq([255.0, 255.0, 0.0])
    warp = Vantick::Core::Paper::Homography.new([[0, 0], [4, 0], [4, 4], [0, 4]], [[0, 0], [4, 0], [4, 4], [0, 4]])
    expect(dark.piece(warp, [3, 3, 2, 2], 1).bytes.bytes).to eq([0, 255, 255, 255])
    expect(Vantick::Core::Paper::DigitFeatures.of(Array.new(9) { [0.0] * 9 })).to be_nil
    expect(Vantick::Core::Paper::DigitReader.standard.read(Array.new(9) { [0.0] * 9 })).to eq(Vantick::Core::Paper::DigitReader::BLANK)
  end

  it "refuses a picture that has not a value for each point" do
    expect { described_class.new(2, 2, "x") }.to raise_error(ArgumentError, /1 values for 2 by 2/)
  end
end
