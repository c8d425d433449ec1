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

# Every kind as it is laid out for a child's hand, on both papers and whatever the dials wear. Sizes are judgement.
RSpec.describe Vantick::Server::Documents::Sheet do
  let(:core) { Vantick::Core }
  let(:mm) { documents::Page::MM }

  def documents = Vantick::Server::Documents

  def version(name: "Wilhelmina-Philippa", items: []) = documents::Version.new(name:, items:, letter: "C", row: 7)

  def sheet(kind, step, task, paper, look, name: "Wilhelmina-Philippa", count: kind.usual_count(step, task), both: false)
    items = task ? core::Choosing::SheetChoice.new(kind:, step:, task:, count:).items(4) : []
    settings = { look:, paper:, code: "K7RDX", conventions: core::Wording::Conventions.default, both:, cards: "both", sign: "KR",
                 origin: "Curlew class · 27 November 2026", day: [{ time: "12:15", what: "lunch" }],
                 game: documents::Game.new(number: 999_999, players: 27, items: kind.most, misreading: longest_mistake) }
    described_class.new(kind:, step:, task:, versions: [version(name:, items:)], **settings)
  end

  # Its words take the most room on a key.
  def longest_mistake
    core::Reading::Misreading.all.max_by { |misreading| misreading.texts_in(core::Wording::Conventions.default)[:does].length }
  end

  # The outermost places of a mark; letters are as wide as the typeface has them.
  def edges(mark)
    case mark
    when documents::Page::Line then [mark.from, mark.to]
    when documents::Page::Circle then [-1, 1].map { |way| mark.center.map { |place| place + (way * mark.radius) } }
    when documents::Page::Path then mark.steps.flat_map { |_, *places| places.each_slice(2).to_a }
    else words(mark)
    end
  end

  def words(mark)
    width = documents::Letters.of(mark.bold).width(mark.text, mark.points)
    left = mark.x - { left: 0, center: width / 2, right: width }.fetch(mark.align)
    [[left, mark.y - (mark.points * 0.72)], [left + width, mark.y]]
  end

  def apart?(one, other)
    (left, top), (right, bottom) = one
    (x, y), (x2, y2) = other
    right <= x || x2 <= left || bottom <= y || y2 <= top
  end

  # Words and fields that lie over each other.
  def collisions(page)
    texts = page.marks.grep(documents::Page::Text).reject { |mark| mark.text.empty? || mark.degrees.positive? }
    boxes = texts.map { |mark| [mark.text, words(mark)] }
    fields = page.fields.reject { |field| field.kind == :hands }.map do |field|
      x, y, width, height = field.box
      [field.kind, [[x, y], [x + width, y + height - 5]]]
    end
    pairs = boxes.combination(2).to_a + boxes.product(fields)
    pairs.reject { |(_, one), (_, other)| apart?(one, other) }.map { |one, other| [one.first, other.first] }
  end

  looks = [{}, { minute_numbers: "round", numerals: "roman", halves: true }, { minute_numbers: "both_sides", marks: "fives" },
           { numerals: "roman" }]

  # Each kind on one of the papers, at night on both.
  on_paper = Vantick::Core::Choosing::SheetKind.all.product(%w[a4 letter]).each_slice(2).with_index.flat_map do |both, at|
    Thorough.of(both, [both[(RSpec.configuration.seed + at) % 2]])
  end
  on_paper.each do |kind, paper|
    describe "#{kind.name.downcase} on #{paper}" do
      # Of the easiest and the hardest step, with every task and look.
      let(:drawn) do
        steps = core::Curriculum::Step.with_times.select { |step| kind.tasks.empty? || kind.tasks_for(step).any? }
        steps.values_at(0, -1).uniq.product(looks).flat_map do |step, look|
          (kind.tasks.empty? ? [nil] : kind.tasks_for(step)).map do |task|
            [[step.id, task&.id, look], sheet(kind, step, task, paper, look, both: look.empty?)]
          end
        end
      end

      # One example, as the pages are drawn once: what each rule found is named in the failure.
      it "keeps within the page, clear of each other, large enough to be read and written on" do
        found = drawn.flat_map do |what, one|
          (one.pages.map { |page| [page, true] } + one.answer_pages.map { |page| [page, false] }).flat_map do |page, child|
            faults(page, child).map { |fault| [*what, fault] }
          end
        end
        expect(found.uniq.first(5)).to eq([])
      end
    end
  end

  # Two notes to a page: the upper one ends above the line that is cut.
  %w[a4 letter].each do |paper|
    it "keeps each note to take home within its half of #{paper}, on every step and in every language" do
      kind = core::Choosing::SheetKind.find(:home)
      all = core::Curriculum::Step.with_times.product([nil, *core::Wording::HomeLanguage.all])
      found = Thorough.some(all, 40).flat_map do |step, language|
        one = sheet(kind, step, nil, paper, {})
        one.languages = [language].compact
        one.pages.map { |page| [step.id, language&.id, note_ends(page)] }
      end
      over = found.select { |_, _, (below, half, above)| below > half - 6 || above < half + 12 }
      expect(over.first(5)).to eq([])
    end
  end

  # Where the upper note ends, the middle of the page, and where the lower one begins.
  def note_ends(page)
    half = page.height / 2
    places = page.marks.reject { |mark| mark.is_a?(documents::Page::Line) && mark.dash }.map { |mark| edges(mark).map(&:last).minmax }
    upper, lower = places.partition { |top, _| top < half }
    [upper.map(&:last).max.round(1), half, lower.map(&:first).min.round(1)]
  end

  def faults(page, child)
    { out: outside(page, 0, 0), near_the_edge: outside(page, 8 * mm, 4 * mm), over: collisions(page), **(child ? too_small(page) : {}) }
      .flat_map { |fault, marks| marks.map { |mark| [fault, *mark.to_a] } }
  end

  # Lines to cut along go to the edge.
  def outside(page, aside, above)
    drawn = page.marks.reject { |mark| mark.respond_to?(:dash) && mark.dash }
    wide = ((aside - 0.1)..(page.width - aside + 0.1))
    high = (above..(page.height - above))
    drawn.reject { |mark| edges(mark).all? { |x, y| wide.cover?(x) && high.cover?(y) } }
  end

  # Numbers round a dial may have nine points, as they are bold and alone; Andika is large for its size.
  def too_small(page)
    texts = page.marks.grep(documents::Page::Text)
    thin = page.marks.select { |mark| mark.respond_to?(:width) && mark.width && mark.width < (0.2 * mm) - 0.001 }
    { small: texts.select { |mark| mark.points < (mark.text.match?(/\A[\dIVX]+\z/) ? 9 : 10) }, thin:,
      field: page.fields.reject { |field| large_enough?(field) } }
  end

  # A dial for drawing has 40 mm from rim to rim; hands are drawn within its marks.
  def large_enough?(field)
    width, height = field.box.last(2)
    case field.kind
    when :words then width >= (75 * mm) - 0.1 && height >= 12 * mm
    when :hands then width >= 40 * mm * documents::Dial::INSIDE
    when :digit then width >= 7 * mm && height >= 10 * mm
    else width >= 4 * mm
    end
  end

  [%w[read dial_to_words], %w[read dial_to_digital], %w[draw words_to_dial], %w[estimate estimate], %w[slips dial_to_words],
   %w[slips dial_to_digital]].each do |kind, task|
    it "fills a page with the usual number, on both papers: #{kind}, #{task}" do
      asked = [core::Choosing::SheetKind.find(kind), core::Curriculum::Step.find(:minutes), core::Tasks::Task.find(task)]
      of = %w[a4 letter].map { |paper| sheet(*asked, paper, {}) }
      expect(of.map(&:per_page).uniq).to eq([kind == "slips" ? 3 : 8])
      expect(of.map { |one| one.pages.length }).to eq([1, 1])
    end
  end

  it "has room for thirty wide letters, and a line where the typeface has no letters for a name" do
    kind = core::Choosing::SheetKind.find(:slips)
    asked = [core::Curriculum::Step.find(:fives), core::Tasks::Task.find(:dial_to_words)]
    of = ["W" * 30, "Ζωή", "小明", "عمر", "Ana 🦊"].map { |name| sheet(kind, *asked, "a4", {}, name:) }
    wide, *others = of.map { |one| one.pages.first.marks.grep(documents::Page::Text).map(&:text) }
    expect(wide).to include("W" * 30)
    expect(faults(of.first.pages.first, true)).to eq([])
    expect(others.flatten.grep(/[^\u0000-\u024f·…]/)).to eq([])
  end

  it "shares exercises out evenly, and numbers pages where there are several" do
    pages = sheet(core::Choosing::SheetKind.find(:read), core::Curriculum::Step.find(:minutes), core::Tasks::Task.find(:dial_to_digital),
                  "a4", {}, count: 10).pages
    expect(pages.map { |page| page.fields.map(&:item).uniq.length }).to eq([6, 4])
    expect(pages.map { |page| page.marks.grep(documents::Page::Text).map(&:text).grep(%r{\A\d/\d\z}) }).to eq([["1/2"], ["2/2"]])
  end
end

RSpec.describe Vantick::Server::Documents::Finder do
  it "reads its own names, and nothing else" do
    name = described_class::Name.new(code: "K7RDX", child: "12", page: 2)
    expect(described_class.read(name.to_s)).to eq(name)
    expect(described_class.read("K7RDX/C/1").child).to eq("C")
    ["", "K7RDX", "https://example.org/K7RDX/1/1", "K7RDX/1/", "K7RDX/x/1", "K7RDX/1/1/1"].each { |text| expect(described_class.read(text)).to be_nil }
  end
end

RSpec.describe Vantick::Server::Documents::Stack do
  let(:page) { Vantick::Server::Documents::Page }
  let(:one) { Class.new(Struct.new(:stacks, :answer_pages)) }

  def printed(page) = page.new.tap { |made| made.text("x", 1, 1) }

  # How many pages each of three children has, and how many answers; then what is printed, as pages with something on them or none.
  {
    [1, 1, "all", "both"] => [".-.-.-.", 4], [1, 1, "all", "one"] => ["....", 4], [2, 1, "all", "both"] => [".......", 4],
    [1, 2, "all", "both"] => [".-.-.-..", 4], [3, 0, "sheets", "both"] => ["...-...-...", 6], [1, 3, "answers", "both"] => ["...", 2]
  }.each do |(each, answers, part, sides), (order, paper)|
    it "prints #{part} of #{each} and #{answers} pages on #{sides}: nobody has answers or another's exercises on the back" do
      sheet = one.new(Array.new(3) { Array.new(each) { printed(page) } }, Array.new(answers) { printed(page) })
      stack = described_class.new(sheet, part:, sides:)
      expect([stack.pages.map { |made| made.blank? ? "-" : "." }.join, stack.paper]).to eq([order, paper])
    end
  end
end
