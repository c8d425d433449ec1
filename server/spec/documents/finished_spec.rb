# frozen_string_literal: true

require_relative "../support/printed"

# Print, read back from the finished file by other programs: pdf-reader, poppler, zbar.
RSpec.describe Vantick::Server::Documents::PdfWriter do
  let(:mm) { 72 / 25.4 }
  let(:names) { %w[Anneke Bram Celyn] }
  let(:school_class) { make_class(names) }
  let(:address) { "/api/classes/#{school_class['id']}" }

  def make(**settings) = post("#{address}/sheets", { kind: "read", step: "quarters", **settings }).body

  def file(part: "sheets", **settings)
    Printed.new(plain("/api/checks/#{make(**settings)['check_id']}/sheet.pdf?part=#{part}&sides=one").body)
  end

  def material_file(kind, step, **more)
    Printed.new(plain("#{address}/material.pdf?#{URI.encode_www_form(kind:, step:, seed: 3, **more)}").body)
  end

  def material(...) = material_file(...).texts.join(" ")

  def sheet(**settings) = file(**settings).texts.join(" ")

  def answers(**settings) = file(part: "answers", **settings).texts.join(" ")

  def kinds = Vantick::Core::Choosing::SheetKind.all

  # A step that a kind is for, the last there is.
  def step_for(kind) = Vantick::Core::Curriculum::Step.with_times.reverse.find { |step| kind.tasks.empty? || kind.tasks_for(step).any? }.id

  describe "a class's sheets" do
    let(:names) { Array.new(30) { |at| "Child #{at + 1}" } }

    # Nearly every minute of the hour is asked, and nothing that hands cannot show.
    it "have the times that are kept, by their hands, and another at each place than neighbours have" do
      made = make(step: "minutes", versions: "each")
      printed = Printed.new(plain("/api/checks/#{made['check_id']}/sheet.pdf?part=sheets&sides=one").body)
      read = printed.pages.map { |page| printed.dials(page).map(&:time) }
      kept = get("/api/checks/#{made['check_id']}").body["items"].group_by { |item| item["child_id"] }
      expect(read).to eq(kept.values.map { |items| items.map { |item| item["dial"] } })
      expect(read.each_cons(2).sum { |one, other| one.zip(other).count { |pair| pair.uniq.one? } }).to eq(0)
      expect(read.flatten.map { |time| time[/\d+\z/] }.uniq.length).to be >= 57
    end
  end

  it "carries a code that another program reads, and a letter that the answers have too" do
    made = make(step: "quarters", versions: "each", count: 4)
    sheets, answers = %w[sheets answers].map do |part|
      Printed.new(plain("/api/checks/#{made['check_id']}/sheet.pdf?part=#{part}&sides=one").body)
    end
    rows = school_class["children"].map { |child| child["id"] }
    codes = (1..3).map { |number| sheets.codes(number) }
    expect(codes).to eq(rows.map { |row| ["#{made['code']}/#{row}/1"] })
    letters = %w[A B C].zip(names)
    expect(sheets.texts).to match(letters.map { |letter, name| include("#{made['code']} · #{letter}", name) })
    expect(answers.texts.join(" ")).to include(made["code"], *letters.map { |letter, name| "#{letter} · #{name}" })
  end

  it "has a code on each slip, in which the children's rows are" do
    made = make(kind: "slips", step: "fives")
    printed = Printed.new(plain("/api/checks/#{made['check_id']}/sheet.pdf?part=sheets&sides=one").body)
    rows = school_class["children"].map { |child| "#{made['code']}/#{child['id']}/1" }
    expect((1..printed.pages.length).flat_map { |number| printed.codes(number) }).to match_array(rows)
  end

  it "asks for the hour where it can be seen: five degrees off each numeral, or on it" do
    printed = file(step: "hour_hand", task: "hour_only", count: 16)
    hands = printed.pages.flat_map { |page| printed.dials(page).map { |dial| dial.hour % 30 } }
    off = hands.map { |degrees| [degrees, 30 - degrees].min }
    expect(hands.length).to eq(16)
    expect(off.reject { |degrees| degrees < 0.1 }).to all(be >= 4.9)
  end

  %w[a4 letter].each do |paper|
    it "has nothing on #{paper} that is too small for a child, no line that a copier loses, and dials to draw on of 40 mm" do
      Thorough.some(kinds, 8).each do |kind|
        step = step_for(kind)
        printed = kind.answered? ? file(kind: kind.id, step:, paper:) : material_file(kind.id, step, paper:)
        numerals, words = printed.pages.flat_map(&:runs).partition { |run| run.text.match?(/\A(\d{1,2}|[IVX]+)\z/) }
        expect([words.map(&:font_size).min, 10].min).to be_within(0.01).of(10), kind.name
        expect([numerals.map(&:font_size).min || 9, 9].min).to be_within(0.01).of(9), kind.name
        lines = printed.pages.flat_map { |page| printed.lines(page).map(&:breadth) }
        expect(lines).to all(be >= (0.2 * mm) - 0.01), kind.name
      end
      drawn = file(kind: "draw", step: "fives", paper:)
      rims = drawn.outlines(drawn.pages.first).filter_map { |outline| outline.circle&.last }.select { |radius| radius > 20 }
      expect(rims.length).to be >= 8
      expect(rims.min * 2).to be >= 40 * mm
    end
  end

  it "has lines for words of 75 millimetres, with a dotted one halfway up where that is chosen" do
    plain = file(step: "fives", task: "dial_to_words", count: 4)
    dotted = file(step: "fives", task: "dial_to_words", count: 4, lines: "dotted")
    lengths = plain.lines(plain.pages.first).map { |line| (line.places[1][0] - line.places[0][0]).abs }.select { |length| length > 30 * mm }
    expect(lengths.length).to eq(5), "a name and four answers"
    expect(lengths.min).to be >= 74.9 * mm
    expect(dotted.lines(dotted.pages.first).length - plain.lines(plain.pages.first).length).to eq(4)
  end

  # Words as poppler finds them; letters of one size may touch, not lie over each other.
  def over_each_other(words)
    words.combination(2).select do |(_, left, top, right, bottom), (_, x, y, to, below)|
      [right, to].min - [left, x].max > 1 && [bottom, below].min - [top, y].max > (bottom - top) * 0.45
    end
  end

  it "has no words over each other, on sheets, their answers and material of every kind" do
    Thorough.some(kinds, 8).each do |kind|
      step = step_for(kind)
      printed = kind.answered? ? file(part: "all", kind: kind.id, step:) : material_file(kind.id, step)
      expect(printed.words.flat_map { |page| over_each_other(page).map { |pair| pair.map(&:first) } }).to eq([]), kind.name
    end
  end

  it "has Roman numerals at the rim, each turned to the middle and as far from it as the others" do
    printed = file(step: "fives", count: 1, numerals: "roman")
    page = printed.pages.first
    center = printed.dials(page).first.center
    rim = printed.outlines(page).filter_map { |outline| outline.circle&.last }.max
    letters = page.runs(merge: false, skip_overlapping: false).select { |run| run.text.match?(/\A[IVX]\z/) }
    far = letters.to_h { |run| [run, Math.hypot(run.x - center[0], run.y - center[1]) / rim] }.select { |_, distance| distance < 1 }
    wanted = %w[I II III IIII V VI VII VIII IX X XI XII].join.chars.tally
    expect(far.keys.map(&:text).tally).to eq(wanted)
    expect(far.values.minmax).to match([be > 0.6, be < 0.95])
  end

  it "has minute numbers to write with room beside each numeral, and no number printed into a line" do
    printed = material_file("minute_numbers", "fives", count: 1)
    page = printed.pages.first
    short = printed.lines(page).map(&:places).select { |from, to| (from[1] - to[1]).abs < 0.1 && (15..80).cover?((from[0] - to[0]).abs) }
    expect(short.length).to be >= 12
    words = printed.words.first.map { |word, left, top, right, bottom| [word, left, page.height - bottom, right, page.height - top] }
    into = words.select do |_, left, low, right, high|
      short.any? { |from, to| left < [from[0], to[0]].max && right > [from[0], to[0]].min && from[1].between?(low + 2, high - 2) }
    end
    expect(into).to eq([])
  end

  it "has cards of which each needs both hands: every hour and every minute twice or more, with the set's sign on each" do
    printed = material_file("cards", "fives", count: 6, cards: "digits")
    times = printed.texts.first.scan(/\b(\d{1,2}):(\d\d)\b/)
    expect(times.length).to eq(6)
    expect(times.transpose.map { |part| part.tally.values.min }).to all(be >= 2)
    dials = printed.pages.flat_map { |page| printed.dials(page).map(&:time) }
    expect(dials).to match_array(times.map { |time| time.join(":") })
    signs = printed.words.flatten(1).map(&:first).grep(/\A[A-Z]{2}\z/).tally
    expect(signs.values).to eq([12])
  end

  it "has a key that says by number and letter which cards belong together" do
    printed = material_file("cards", "fives", count: 6, cards: "both")
    marks = printed.words[..-2].flatten(1).map(&:first)
    expect(marks).to include(*(1..6).map(&:to_s), *("a".."l"))
    rows = printed.texts.last.scan(/(\d)\.\s*([a-l]), ([a-l])\s*(\d{1,2}:\d\d)/)
    expect(rows.map(&:first)).to eq((1..6).map(&:to_s))
    expect(rows.flat_map { |row| row[1, 2] }).to match_array(("a".."l").to_a)
    expect(rows.map(&:last)).to eq(printed.pages.first.then { |page| printed.dials(page).map(&:time) })
  end

  it "has no mistakes to spot on o'clock, and levels on a step of twelve times" do
    expect(post("#{address}/sheets", { kind: "spot", step: "oclock" })).to be_refused(422).at("step")
    levels = file(kind: "levels", step: "half_past", count: 4)
    expect(levels.pages.flat_map { |page| levels.dials(page).map(&:time) }.length).to eq(12)
    expect(levels.texts.join(" ")).to match(/Half past(?!.*Level)/m)
    all = file(kind: "levels", step: "half_past", count: 4, levels: "all").texts.join(" ")
    expect(all).to include("Half past · With help", "Half past · Some help", "Half past · On your own")
  end

  it "says between which times an estimate is right" do
    expect(answers(kind: "estimate", step: "quarters", count: 4).scan(/between \d+:\d\d/).length).to eq(4)
  end

  it "says so where words and digits are both asked for, with a line and boxes for each dial" do
    expect(sheet(both: true, count: 2)).to include("Write the time in words and in digits.")
    fields = Vantick::Server::Pages::Printing
    check = store.checks.find(make(both: true, count: 2)["check_id"])
    kept = fields.of_check(check, store.classes.find(check.class_id)).drawn_sheet(check).pages.first.fields
    expect(kept.map(&:kind).tally).to eq(digit: 8, words: 2)
  end

  it "offers noon and midnight, and asks them" do
    told = sheet(kind: "facts", task: "day_half", step: "day_halves", count: 6)
    expect(told).to match(/\d\. noon/).and match(/\d\. midnight/)
    expect(told.scan("a.m.").length).to eq(7)
  end

  it "has a method card with one way of counting for each half, and what each place means where nothing is counted" do
    expect(material("step_card", "fives")).to include('With "past": count from the 12 in', 'With "to": count back from the 12.')
    expect(material("step_card", "quarters")).to include("12: o'clock. 3: quarter past. 6:")
  end

  it "takes home the whole method and the words that homes use, also of steps without whole times" do
    whole = material("home", "fives_to")
    expect(whole).to include("This week we read: fives to", "Say the whole time.", "say the next hour")
    expect(whole.scan(/(?:of|till|before) \w+/).length).to be >= 3
    expect(material("home", "fives_facts")).to match(/from the \d+ to the \d+: \d+/)
    expect(material("home", "day_halves")).to match(/in the (?:morning|evening|afternoon): [ap]\.m\./)
    expect(material("home", "hour_hand")).to include("Say that hour.")
  end

  it "has hands to cut out that end where they do on the dial they are made for" do
    kind = Vantick::Server::Documents::BigDials
    dial = Vantick::Server::Documents::Dial
    tips = [dial::HOUR, dial::MINUTE].map { |outline| -outline.first.last }
    expect(kind::HANDS.values.map { |hand| hand[:reach] }).to eq(tips)
    expect(material("make", "minutes")).to include("fold on the dotted line", "make the hole yourself")
  end

  it "says things in the class's own words, on every page with class, title and day" do
    put("#{address}/conventions", { conventions: { past_word: "after", to_word: "of" } })
    told = sheet(kind: "rewrite", task: "digital_to_words", step: "quarter_to", count: 12)
    expect(told).to include("Quarter of").and match(/Curlew · \d+ \w+ \d{4}/)
    expect(answers(kind: "read", step: "quarter_to", count: 4)).to include("quarter of")
  end

  it "shades a half so that a copier keeps it, with lines beside" do
    page = Vantick::Server::Documents::Page
    grey = page::SHADE.scan(/../).sum { |part| part.to_i(16) } / 3.0 / 255
    expect(1 - grey).to be_between(0.15, 0.2)
    drawn = [true, false].map do |halves|
      post("#{address}/sheet-previews", { kind: "read", step: "quarters", halves:, count: 1 }).body["pages"].first
    end
    lines = drawn.map { |svg| svg.scan("<line").length }
    expect(lines.reduce(:-)).to be > 15
  end

  it "shades half of a dial in a grey that a copier keeps" do
    shaded, plain = [true, false].map { |halves| greys(file(count: 1, halves:).bytes) }
    share = ->(found) { found.count { |grey| grey.between?(200, 220) }.fdiv(found.length) }
    expect(share[shaded]).to be > share[plain] + 0.004
  end

  # Values of all points of the first page, drawn small.
  def greys(bytes)
    drawn, = Open3.capture2("pdftoppm", "-r", "60", "-gray", "-f", "1", "-singlefile", "-", stdin_data: bytes, binmode: true)
    drawn.b.split("\n", 4).last.bytes
  end

  it "asks the class's own day in the problems of the third level" do
    put("#{address}/day", { day: [{ time: "12:15", what: "the trampoline" }, { time: "15:30", what: "choir" }] })
    words = file(kind: "levels", step: "quarters", count: 8, levels: "all", seed: 3).words.flatten(1).map { |word, *| word.downcase }
    expect(words & %w[trampoline choir]).not_to be_empty
  end

  %w[a4 letter].each do |paper|
    it "fills a page of #{paper} with the usual number, and has names of thirty wide letters on it whole" do
      wide = "W" * 30
      own = make_class([wide])
      %w[read draw slips rewrite].each do |kind|
        made = post("/api/classes/#{own['id']}/sheets", { kind:, step: "fives", paper:, versions: "each" }).body
        printed = Printed.new(plain("/api/checks/#{made['check_id']}/sheet.pdf?part=sheets&sides=one").body)
        expect(printed.pages.length).to eq(1), kind
        box = printed.words.first.find { |word, *| word == wide }
        expect(box[3]).to be <= printed.pages.first.width - (8 * mm), kind
      end
    end
  end
end
