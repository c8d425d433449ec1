# frozen_string_literal: true

require_relative "drawn_pages"

# Pieces of paper in pictures: their codes are read by zbar.
RSpec.describe Vantick::Server::Pages::Found do
  include DrawnPages

  def names(image) = described_class.of(picture(image)).map { |piece| piece.name.to_s }

  it "are found and named as they lie: straight, turned, upside down, from aslant, in a dark corner, blurred a little" do
    white = { background: [246] }
    ways = { straight: sheet, turned: sheet.similarity(angle: 4, **white), upside_down: sheet.rot180, small: sheet.resize(0.8),
             aslant: sheet.affine([1, 0.03, -0.02, 1], **white), dark: (sheet * 0.5) + 20, blurred: sheet.gaussblur(0.8) }
    expect(ways.transform_values { |way| names(way.cast("uchar")) }).to eq(ways.transform_values { ["K7RDX/26/2"] })
  end

  # The sheet where a camera sees its corners, drawn by libvips.
  def photograph(corners)
    warp = Vantick::Core::Paper::Homography.new(corners, [[0, 0], [sheet.width, 0], [sheet.width, sheet.height], [0, sheet.height]])
    origin, across = warp.row(0, 0, 1)
    x, y = Vips::Image.xyz(1300, 1800).bandsplit
    u, v, depth = origin.zip(across, warp.row(0, 1, 1).first).map { |from, step, below| (x * step) + (y * (below - from)) + from }
    sheet.mapim((u / depth).bandjoin(v / depth), extend: :background, background: [255])
  end

  # Where the corners of the whole sheet lie in a photograph of 1,300 by 1,800 points.
  { "from above" => [[60, 60], [1240, 62], [1238, 1740], [58, 1738]],
    "from its foot" => [[190, 110], [1110, 112], [1270, 1760], [40, 1762]],
    "from its head" => [[40, 60], [1270, 62], [1120, 1700], [180, 1698]],
    "from the left" => [[70, 40], [1210, 180], [1200, 1620], [60, 1770]],
    "held askew" => [[230, 60], [1270, 250], [1090, 1760], [30, 1540]] }.each do |how, corners|
    it "are found and named in a photograph taken #{how}" do
      expect(names(photograph(corners))).to eq(["K7RDX/26/2"])
    end
  end

  # The upper right one has the code beside it.
  { "upper left" => [0, 0], "lower right" => [1, 1], "lower left" => [0, 1] }.each do |corner, (right, down)|
    it "are found and named where the #{corner} corner is torn off, and where the copy is pale too" do
      place = [right * (sheet.width - 150), down * (sheet.height - 150)]
      torn = sheet.mutate { |drawn| drawn.draw_rect!([250], *place, 150, 150, fill: true) }
      turned = torn.similarity(angle: 2, background: [250])
      expect([torn, turned, (turned * 0.45) + 130].map { |one| names(one.cast("uchar")) }).to eq([["K7RDX/26/2"]] * 3)
    end
  end

  it "are told from each other in one picture, from the top" do
    sheets = printed(page({ code: "K7RDX", child: "3", page: 1 }), page({ code: "M4NQT", child: "4", page: 1 }))
    two = sheets.map { |sheet| sheet.resize(0.7) }
    expect(names(two[0].join(two[1], :vertical))).to eq(["K7RDX/3/1", "M4NQT/4/1"])
  end

  it "have no name where their code is scribbled over, and are none without marks" do
    left, top = documents::Finder.on_page([28, 28, 539, 785]).map { |place| (place * Vantick::Copier::SCALE).round }
    scribbled = sheet.mutate do |drawn|
      12.times { |at| drawn.draw_line!([20], left - 20, top + (at * 7), left + 140, top + 80 - (at * 6)) }
    end
    found = described_class.of(picture(scribbled))
    expect(found.map(&:name)).to eq([nil])
    expect(found.first.corners.length).to eq(4)
    expect(names(Vips::Image.black(1240, 1754) + 240)).to eq([])
  end
end
