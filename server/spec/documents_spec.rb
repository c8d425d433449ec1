# frozen_string_literal: true

require "pdf-reader"
require "stringio"

RSpec.describe Vantick::Server::Documents do
  # Where each outline of a page begins: a hand's outline begins at its point. The last two are the pin's, which is a
  # circle and its middle.
  let(:pen) do
    Class.new do
      attr_reader :starts

      def initialize = @starts = []

      def begin_new_subpath(x, y) = @starts << [x, y]
    end
  end

  def degrees(tip, center) = (Math.atan2(tip[0] - center[0], tip[1] - center[1]) * 180 / Math::PI) % 360

  def written(pages) = PDF::Reader.new(StringIO.new(described_class::PdfWriter.write(pages, title: "x", made_at: Time.at(0))))

  # The angles of school geometry (common practice, no source): 30 degrees an hour and half a degree a minute, 6 a minute.
  it "sets the hands of all 720 dials where they belong, in the PDF's own drawing" do
    pages = Vantick::Core::Dial::DialTime.all.map do |time|
      described_class::Page.new(size: [200, 200]).tap { |page| described_class::Dial.new(page, [100, 100], 90).draw(time.hands) }
    end
    written(pages).pages.each_with_index do |page, index|
      found = pen.new
      page.walk(found)
      hour, minute = found.starts.last(4).first(2).map { |tip| degrees(tip, [100, 100]) }
      expect((hour - (index / 2.0) + 180) % 360).to be_within(0.05).of(180)
      expect((minute - (index % 60 * 6) + 180) % 360).to be_within(0.05).of(180)
    end
  end

  it "breaks words into lines that fit" do
    letters = described_class::Letters.of(false)
    lines = letters.lines("Somebody read these clocks and got them wrong.", 120, 12)
    expect(lines.map { |line| letters.width(line, 12) }).to all(be <= 120)
    expect(lines.join(" ")).to eq("Somebody read these clocks and got them wrong.")
  end

  it "escapes what a name may hold" do
    page = described_class::Page.new(size: [50, 50]).tap { |one| one.text("<Bo & Co>", 1, 1) }
    expect(described_class::SvgWriter.write(page)).to include("&lt;Bo &amp; Co&gt;")
  end
end

RSpec.describe Vantick::Server::Documents::Sheet do
  let(:core) { Vantick::Core }

  def sheet(kind, step, task, paper, look)
    items = task ? core::Choosing::SheetChoice.new(kind:, step:, task:, count: 3).items(4) : []
    version = Vantick::Server::Documents::Version.new(name: "Wilhelmina-Philippa", items:)
    settings = { look:, paper:, code: "K7RD", conventions: core::Wording::Conventions.default, both: true }
    described_class.new(kind:, step:, task:, versions: [version], **settings)
  end

  # The outermost places of a mark; letters are as wide as the typeface has them.
  def edges(mark)
    case mark
    when Vantick::Server::Documents::Page::Line then [mark.from, mark.to]
    when Vantick::Server::Documents::Page::Circle then [-1, 1].map { |way| mark.center.map { |place| place + (way * mark.radius) } }
    when Vantick::Server::Documents::Page::Path then mark.steps.flat_map { |_, *places| places.each_slice(2).to_a }
    else words(mark)
    end
  end

  def words(mark)
    width = Vantick::Server::Documents::Letters.of(mark.bold).width(mark.text, mark.points)
    left = mark.x - { left: 0, center: width / 2, right: width }.fetch(mark.align)
    [[left, mark.y - mark.points], [left + width, mark.y]]
  end

  looks = [{}, { minute_numbers: "round", numerals: "roman", halves: true }, { minute_numbers: "both_sides", marks: "fives" }]

  Vantick::Core::Choosing::SheetKind.all.product(%w[a4 letter]).each do |kind, paper|
    it "keeps #{kind.name.downcase} on #{paper} within the page, whatever the dials wear" do
      steps = core::Teaching::Step.with_times.select { |one| kind.tasks.empty? || kind.tasks_for(one).any? }
      steps.values_at(0, -1).uniq.product(looks).each do |step, look|
        (kind.tasks.empty? ? [nil] : kind.tasks_for(step)).each do |task|
          drawn = sheet(kind, step, task, paper, look)
          (drawn.pages + drawn.answer_pages).each do |page|
            out = page.marks.reject { |mark| edges(mark).all? { |x, y| x.between?(0, page.width) && y.between?(0, page.height) } }
            expect(out.map(&:to_a)).to eq([]), "#{step.id} #{task&.id} #{look}"
          end
        end
      end
    end
  end
end
