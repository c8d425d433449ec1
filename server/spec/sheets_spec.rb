# frozen_string_literal: true

require_relative "support/printed"

RSpec.describe Vantick::Server::Sheets::Sheets do
  let(:school_class) { make_class(%w[Anneke Bram Celyn]) }
  let(:address) { "/api/classes/#{school_class['id']}" }

  def preview(**settings) = post("#{address}/sheet-previews", { kind: "read", step: "quarters", **settings })

  def make(**settings) = post("#{address}/sheets", { kind: "read", step: "quarters", **settings }).body

  def pdf(path) = Printed.new(plain(path).body)

  def texts(path) = pdf(path).layouts

  # Every kind on a step that it is for, as a preview and as a file.
  Vantick::Core::Choosing::SheetKind.all.each do |kind|
    it "draws #{kind.name.downcase}: the preview and the file have the same words, and as many pages" do
      step = Vantick::Core::Curriculum::Step.with_times.reverse.find { |one| kind.tasks.empty? || kind.tasks_for(one).any? }.id
      count = kind.id == :cards ? 4 : [2, kind.least].max.clamp(1, kind.most)
      shown = preview(kind: kind.id, step:, seed: 5, count:, names: false).body
      expect(shown["pages"]).not_to be_empty
      expect(shown["choice"].nil?).to be(!kind.answered? || kind.id == :baseline)
      made = make(kind: kind.id, step:, seed: 5, count:, names: false)
      material = "#{address}/material.pdf?kind=#{kind.id}&step=#{step}&seed=5&count=#{count}"
      path = kind.answered? ? "/api/checks/#{made['check_id']}/sheet.pdf" : material
      file = pdf(path)
      expect(file.page_count).to be >= shown["pages"].length
      words = shown["pages"].first.scan(/>([^<]+)</).flatten.map { |text| CGI.unescapeHTML(text) }
      printed = file.pages.first.runs.map(&:text).join.gsub(/\s+/, "")
      expect(words.map { |text| text.gsub(/\s+/, "") }.reject { |text| printed.include?(text) }).to eq([])
    end
  end

  it "has six pairs of cards on one page and their key, also on Letter" do
    set = "#{address}/material.pdf?kind=cards&step=fives&seed=5&count=6&sides=one"
    expect(%w[a4 letter].map { |paper| pdf("#{set}&paper=#{paper}").page_count }).to eq([2, 2])
  end

  cut = Vantick::Core::Choosing::SheetKind.all.select(&:cut?)

  it "leaves the back white of all that is cut out, on both sides of the paper" do
    cut.each do |kind|
      file = pdf("#{address}/material.pdf?kind=#{kind.id}&step=fives&seed=5&count=12&sides=both")
      fronts, backs = file.layouts.partition.with_index { |_, at| at.even? }
      expect(backs.uniq).to eq([""]), kind.id.to_s
      expect(fronts).not_to include("")
    end
  end

  it "has the key of a game with the set, its order and whose near misses are in it" do
    query = "step=fives_to&seed=48213&count=12&misreading=to_with_passed_hour"
    key = texts("#{address}/material.pdf?kind=bingo&#{query}&sides=one").last.gsub(/\s+/, " ")
    calls = get("#{address}/calls?kind=bingo&#{query}").body["calls"]
    expect(key).to include("Set 48213, 12 clocks", "use the hour that has passed after")
    expect(key.scan(/\d+\. (\d+:\d\d)/).flatten.sort).to eq(calls.map { |call| call["digits"] }.sort)
    expect(get("#{address}/calls?kind=read&step=fives").status).to eq(422)
  end

  # Another program reads the hands of each card; the time it asks for is the next card's.
  it "closes the ring of loop cards and dominoes" do
    %w[loop dominoes].each do |kind|
      file = Printed.new(plain("#{address}/material.pdf?kind=#{kind}&step=quarters&seed=3&count=12&sides=one").body)
      cards = file.pages[..-2]
      shown = cards.flat_map { |page| file.dials(page).map { |dial| dial.time.to_s } }
      asked = file.texts[..-2].flat_map { |text| text.scan(/\b\d{1,2}:\d\d\b/) }
      expect([shown.length, shown.sort]).to eq([12, asked.sort])
      calls = get("#{address}/calls?kind=#{kind}&step=quarters&seed=3&count=12").body["calls"].map { |call| call["time"] }
      expect(shown).to eq(calls)
    end
  end

  # Bends of lines: hands and rims have them, marks and codes have none.
  def bends(page)
    counter = Class.new do
      attr_reader :count

      def append_curved_segment(*) = @count = @count.to_i + 1
    end.new
    page.walk(counter)
    counter.count.to_i
  end

  describe "as it comes, for a class of 30" do
    let(:school_class) { make_class(Array.new(30) { |number| "Child #{number + 1}" }) }
    let(:alone) { make_class(["Child 1"]) }

    # @return [Array(Printed, Hash)] the file, and the check where there is one
    def printed(of, kind, step)
      made = post("/api/classes/#{of['id']}/sheets", { kind: kind.id, step: }).body if kind.answered?
      material = "/api/classes/#{of['id']}/material.pdf?kind=#{kind.id}&step=#{step}"
      path = made ? "/api/checks/#{made['check_id']}/sheet.pdf?part=sheets&sides=one" : material
      [pdf(path), made && get("/api/checks/#{made['check_id']}").body]
    end

    Thorough.some(Vantick::Core::Choosing::SheetKind.all.reject { |kind| kind.id == :levels }, 9).each do |kind|
      it "#{kind.name.downcase} has as many exercises as were set, once, and each child's page is as one child's alone would be" do
        step = Vantick::Core::Curriculum::Step.with_times.reverse.find { |one| kind.tasks.empty? || kind.tasks_for(one).any? }.id
        (file, check), (single,) = [school_class, alone].map { |of| printed(of, kind, step) }
        expect(check["items"].map { |item| item["child_id"] }).to eq([nil] * kind.count) if check
        slips = kind.id == :slips
        several = { slips: 3, bingo: 2 }.fetch(kind.id, 1)
        expect(bends(file.pages.first)).to eq(bends(single.pages.first) * several), kind.id.to_s
        # A card of bingo for each, two to a page with a white back, and the key.
        next expect([file, single].map(&:page_count)).to eq([31, 3]) if kind.id == :bingo
        next expect(file.page_count).to eq(single.page_count) unless slips

        expect(file.texts.map { |text| text.scan(/Child \d/).length }).to eq([3] * 10)
        expect(file.texts.map { |text| text.scan(check["code"]).length }).to eq([3] * 10)
      end
    end

    it "gives each child the level that the record says, and the teacher another where it is set" do
      check = make_check(school_class, step: "oclock", count: 8)
      quick = school_class["children"].first
      check["items"].each { |item| answer(check, quick, item, item["right"]) }
      shown = preview(kind: "levels", step: "oclock").body
      expect(shown["levels"].map { |level| level["level"] }.tally).to eq(1 => 29, 2 => 1)
      made = make(kind: "levels", step: "oclock", level_of: [{ child_id: school_class["children"].last["id"], level: 3 }])
      file = pdf("/api/checks/#{made['check_id']}/sheet.pdf?part=sheets&sides=one")
      expect(file.texts.join).not_to match(/level/i)
      levels = store.checks.find(made["check_id"]).items.group_by(&:child_id).transform_values { |items| items.map(&:level).uniq }
      expect(levels.values).to eq([[2], *[[1]] * 28, [3]])
      answers = pdf("/api/checks/#{made['check_id']}/sheet.pdf?part=answers").layouts.join
      problem = file.layouts.last[/^\s*(\d)\. +\S/, 1]
      expect(answers).to match(/^\s*#{problem}\. .+in half an hour/)
    end

    it "prints help on the clocks of those who need it, and counts what they get right there for less" do
      check = make_check(school_class, step: "half_past", count: 6)
      quick, slow, = school_class["children"]
      check["items"].each { |item| answer(check, quick, item, item["right"]) }
      made = make(step: "half_past", versions: "each", help: "record", count: 8)
      items = store.checks.find(made["check_id"]).items.group_by(&:child_id)
      expect([quick, slow].map { |child| items[child["id"]].count(&:helped) }).to eq([4, 6])
      expect(items.fetch(slow["id"]).length).to eq(6)
      pages = pdf("/api/checks/#{made['check_id']}/sheet.pdf?part=sheets&sides=one").pages
      expect(pages.length).to eq(30)
      sheet = get("/api/checks/#{made['check_id']}").body
      own = sheet["items"].select { |item| item["child_id"] == slow["id"] }
      own.each { |item| answer(sheet, slow, item, item["right"]) }
      states = get("/api/children/#{slow['id']}/record").body["steps"].to_h { |step| step.values_at("step", "state") }
      expect(states["half_past"]).not_to eq("secure")
    end

    it "prints two pages for each child, as they are asked for" do
      %w[read spot levels].each do |kind|
        made = make(kind:, step: "minutes", versions: "each", count: kind == "spot" ? 8 : 16)
        expect(pdf("/api/checks/#{made['check_id']}/sheet.pdf?part=sheets").page_count).to be >= 60
      end
    end
  end

  it "takes other times each time than the class had lately, and others with another seed" do
    times = Array.new(3) { get("/api/checks/#{make(step: 'quarters', count: 8)['check_id']}").body["items"].map { |item| item["time"] } }
    expect(times.flatten.uniq.length).to eq(24)
    seeds = [1, 2].map { |seed| preview(step: "minutes", seed:).body["choice"]["times"] }
    expect(seeds.reduce(:&).length).to be < 3
  end

  it "writes the same bytes for the same sheet" do
    made = make(versions: "each")
    files = Array.new(2) { plain("/api/checks/#{made['check_id']}/sheet.pdf").body }
    expect(files.uniq.length).to eq(1)
  end

  it "begins each child and the answers on paper of their own, and says how many sheets of paper it takes" do
    made = make(kind: "draw", versions: "each")
    file = pdf("/api/checks/#{made['check_id']}/sheet.pdf?sides=both")
    expect(file.texts.map { |text| text[/Answers|Anneke|Bram|Celyn/] }).to eq(["Anneke", nil, "Bram", nil, "Celyn", nil, "Answers"])
    paper = preview(kind: "draw", versions: "each").body["paper"]
    expect(paper.find { |one| one["part"] == "all" && one["sides"] == "both" }["sheets"]).to eq(4)
    expect(paper.find { |one| one["part"] == "sheets" && one["sides"] == "one" }["sheets"]).to eq(3)
  end

  it "says before printing whose name has letters that the typeface lacks, and leaves room for it" do
    others = make_class(%w[Ζωή Bo])
    shown = post("/api/classes/#{others['id']}/sheet-previews", { kind: "slips", step: "quarters" }).body
    expect(shown["unprintable"]).to eq(["Ζωή"])
    expect(shown["pages"].first).not_to include("Ζωή")
  end

  it "prints a check that was made without a sheet as slips, with names or without" do
    check = make_check(school_class)
    path = "/api/checks/#{check['id']}/sheet.pdf?part=sheets"
    expect(texts(path).join).to include("Anneke", "Bram", "Celyn", check["code"])
    nameless = texts("#{path}&names=false").join
    expect(nameless).not_to match(/Anneke|Bram|Celyn/)
    expect(nameless.scan("Name:").length).to eq(3)
    shown = get("/api/checks/#{check['id']}/sheet-preview?names=false").body
    expect([shown["pages"].length, shown["answer_pages"].length]).to eq([1, 1])
    expect(get("/api/checks/#{check['id']}/sheet-preview").body["pages"].first).to include("Bram")
  end

  it "matches dials with digits, with words, or with both" do
    printed = %w[digits words both].map do |cards|
      texts("#{address}/material.pdf?kind=cards&step=quarters&count=4&seed=3&cards=#{cards}").join
    end
    found = printed.map { |text| [text.scan(/\d:\d\d/).length, text.scan(/quarter|half past|o'clock/).length] }
    # The key has all times in digits and in words once more.
    expect(found).to eq([[8, 4], [4, 8], [8, 8]])
  end

  it "has its typeface in a dial alone, with the letters that are on it" do
    svg = plain("/api/dial.svg?time=7:45&numerals=all").body
    data = svg[/base64,([^)]+)\)/, 1].unpack1("m")
    font = TTFunk::File.new(data)
    expect(("0".."9").all? { |digit| font.cmap.unicode.first[digit.ord].positive? }).to be(true)
    expect(data.bytesize).to be < 60_000
    expect(plain("/api/dial.svg?numerals=none").body).not_to include("font-face")
  end

  it "keeps answers on pages of their own" do
    made = make(kind: "draw", task: "words_to_dial", count: 6)
    sheets, answers = %w[sheets answers].map { |part| texts("/api/checks/#{made['check_id']}/sheet.pdf?part=#{part}").join }
    expect(sheets).to include("Draw both hands.")
    expect(sheets).not_to include("Answers")
    expect(answers).to include("Answers: Quarters")
  end

  it "prints one more without a name, or one child's again, without another check" do
    made = make(kind: "slips", step: "half_past", count: 4)
    path = "/api/checks/#{made['check_id']}/sheet.pdf?part=sheets"
    spare = texts("#{path}&spare=true")
    expect([spare.length, spare.join.scan("Name:").length]).to eq([1, 1])
    child = school_class["children"].last
    expect(texts("#{path}&child_id=#{child['id']}").join).to include(child["name"])
    expect(get("#{path}&child_id=999999")).to be_refused(404).at("child_id")
    own = make(versions: "each", count: 5, seed: 2)
    expect(get("/api/checks/#{own['check_id']}/sheet.pdf?spare=true")).to be_refused(422).at("only").saying(/Choose whose sheet/)
    expect(get("#{address}/checks").body["checks"].length).to eq(2)
  end

  it "has another version for each child, with their name, and answers typed in by its code" do
    made = make(versions: "each", count: 5, seed: 2)
    check = get("/api/checks/#{made['check_id']}").body
    expect(check["items"].length).to eq(15)
    by_child = check["items"].group_by { |item| item["child_id"] }
    expect(by_child.values.map { |items| items.map { |item| item["time"] } }.uniq.length).to eq(3)
    printed = texts("/api/checks/#{made['check_id']}/sheet.pdf")
    of_children = printed.values_at(0, 2, 4).zip(%w[Anneke Bram Celyn], %w[A B C])
    expect(of_children).to all(satisfy { |page, name, letter| page.include?(name) && page.include?("#{made['code']} · #{letter}") })
    expect(printed.last).to include("A · Anneke", "B · Bram", "C · Celyn", made["code"])
    expect(get("/api/sheets/#{made['code'].downcase}").body).to include("check_id" => check["id"])
    bram = check["children"][1]
    expect(answer(check, bram, by_child[bram["id"]].first, by_child[bram["id"]].first["right"]).body["verdict"]).to eq("right")
    expect(answer(check, bram, by_child[check["children"][0]["id"]].first, "x")).to be_refused(422).at("item_id").saying(/another child/)
  end

  # Half past went right on two days, five and four weeks ago; it is fading by now for the one child who was asked.
  it "has what a child may be losing on their own sheet, as an answer of that step" do
    child = school_class["children"].first
    [36, 28].each do |days|
      at = (Time.now.utc - (days * 86_400)).iso8601
      check = store.checks.add(class_id: school_class["id"], step: "half_past", task: "dial_to_words", made_at: at,
                               times: %w[1:30 3:30 4:30 7:30 9:30])
      right = check.items.map do |item|
        row = { uuid: SecureRandom.uuid, item_id: item[:id], child_id: child["id"], answer: "half past #{item[:time].to_i}" }
        [row, Vantick::Server::Store::MarkedAnswers.judged(item, row[:answer], Vantick::Core::Wording::Conventions.default)]
      end
      store.answers.add_all(right, answered_at: at)
    end
    made = make(versions: "each", step: "quarter_to", count: 8)
    rows = store.db[:items].where(check_id: made["check_id"])
    expect(rows.where(child_id: child["id"], step: "half_past").select_map(:time)).to contain_exactly(/:30\z/, /:30\z/)
    expect(rows.exclude(child_id: child["id"]).exclude(step: nil).count).to eq(0)
    expect(rows.group_and_count(:child_id).map(:count).uniq).to eq([8])
  end

  it "lets sheets without names go round: a child gets the letter that they worked on, as long as nothing is typed in" do
    made = make(versions: "each", names: false)
    path = "/api/checks/#{made['check_id']}"
    anneke, bram, = get(path).body["children"].map { |child| child["id"] }
    expect(texts("#{path}/sheet.pdf?part=sheets").join).not_to match(/Anneke|Bram/)
    times = ->(check, child) { check["items"].select { |item| item["child_id"] == child }.map { |item| item["time"] } }
    before = get(path).body
    after = put("#{path}/letters", { child_id: anneke, other_id: bram }).body
    expect(after["letters"].to_h { |letter| letter.values_at("child_id", "letter") }).to include(anneke => "B", bram => "A")
    expect(times.call(after, anneke)).to eq(times.call(before, bram))
    answer(after, { "id" => bram }, after["items"].find { |item| item["child_id"] == bram }, "7:45")
    expect(put("#{path}/letters", { child_id: anneke, other_id: bram })).to be_refused(422).at("other_id").saying(/already entered/)
    shared = make["check_id"]
    expect(put("/api/checks/#{shared}/letters", { child_id: anneke, other_id: bram })).to be_refused(422).at("child_id")
  end

  it "takes the class's own misreadings for mistakes to spot, and marks what is found" do
    check = make_check(school_class)
    check["items"].select { |item| item["time"].end_with?(":45") }.each do |item|
      answer(check, check["children"].first, item, "quarter to #{Vantick::Core::Wording::NumberWords.standard.spell(item['time'].to_i)}")
    end
    made = make(kind: "spot", count: 3)
    sheet = get("/api/checks/#{made['check_id']}").body
    item = sheet["items"].first
    expect(item["said"]).to start_with("quarter to")
    expect(item["right"]).to start_with("old hour used with \"to\"; ")
    right = "to_with_passed_hour; #{item['time']}"
    expect(answer(sheet, sheet["children"].first, item, right).body["verdict"]).to eq("right")
  end

  it "asks numerals and halves of the day, and marks their answers" do
    { numeral_to_minutes: "fives_facts", day_half: "day_halves" }.each do |task, step|
      made = make(kind: "facts", step:, task:, count: 4)
      check = get("/api/checks/#{made['check_id']}").body
      given = check["items"].map { |item| answer(check, check["children"].first, item, item["right"]).body["verdict"] }
      expect(given.tally).to eq("right" => 4)
      expect(get("/api/checks/#{made['check_id']}/findings").status).to eq(200)
      expect(get("#{address}/children/#{check['children'].first['id']}/record").body["answers"].length).to be >= 4
    end
    expect(get("#{address}/ladder").status).to eq(200)
  end

  it "prints Letter as well, with roman numerals, and a dial alone" do
    made = make(paper: "letter", numerals: "roman", count: 2)
    page = pdf("/api/checks/#{made['check_id']}/sheet.pdf").pages.first
    expect(page.attributes[:MediaBox].last(2)).to eq([612, 792])
    expect(page.text).to include("XII")
    svg = plain("/api/dial.svg?time=7:45&minute_numbers=round")
    expect(svg["content-type"]).to start_with("image/svg+xml")
    expect(svg.body).to include(">55<").and start_with("<svg")
    expect(get("/api/dial.svg?time=7:99")).to be_refused(400).at("time")
  end

  {
    "an unknown kind" => [{ kind: "poster" }, 422, "kind"], "an unknown step" => [{ step: "sevens" }, 422, "step"],
    "a kind that is not for the step" => [{ step: "day_halves" }, 422, "step"],
    "a task of another kind" => [{ task: "digital_to_dial" }, 422, "task"], "too many" => [{ count: 17 }, 422, "count"],
    "an unknown paper" => [{ paper: "a5" }, 400, "paper"],
    "a kind without answers, to be kept" => [{ kind: "make" }, 422, "kind"]
  }.each do |what, (settings, status, field)|
    it "refuses #{what}, at its field" do
      asked = settings[:kind] == "make" ? post("#{address}/sheets", { step: "quarters", **settings }) : preview(**settings)
      expect(asked).to be_refused(status).at(field)
    end
  end

  it "tells a mistyped code from one that no sheet has" do
    code = make["code"]
    expect(code).to match(/\A[CDFHJKMNPRTVX3479]{5}\z/)
    slips = (0..4).flat_map { |place| %w[C D X 9].map { |letter| code.dup.tap { |one| one[place] = letter } } } - [code]
    changed_over = (0..3).map { |place| code.dup.tap { |one| one[place], one[place + 1] = one[place + 1], one[place] } } - [code]
    [*slips, *changed_over].each { |typed| expect(get("/api/sheets/#{typed}")).to be_refused(404).at("code").saying(/letter is wrong/) }
    expect(get("/api/sheets/K7RD")).to be_refused(404).at("code").saying(/There is no sheet/)
  end

  {
    { count: 17 } => 16, { count: 0 } => 1, { step: "oclock", count: 16 } => 12, { kind: "levels", step: "oclock", count: 8 } => 4
  }.each do |settings, nearest|
    it "offers the nearest number that there is: #{settings}" do
      expect(preview(**settings).body).to include("field" => "count", "nearest" => nearest)
    end
  end
end
