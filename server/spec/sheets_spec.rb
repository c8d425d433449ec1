# frozen_string_literal: true

require "pdf-reader"
require "stringio"

RSpec.describe Vantick::Server::Sheets::Sheets do
  let(:school_class) { make_class(%w[Anneke Bram Celyn]) }
  let(:address) { "/api/classes/#{school_class['id']}" }

  def preview(**settings) = post("#{address}/sheet-previews", { kind: "read", step: "quarters", **settings })

  def make(**settings) = post("#{address}/sheets", { kind: "read", step: "quarters", **settings }).body

  def pdf(path) = PDF::Reader.new(StringIO.new(plain(path).body))

  def texts(path) = pdf(path).pages.map(&:text)

  # Every kind on a step that it is for, as a preview and as a file.
  Vantick::Core::Choosing::SheetKind.all.each do |kind|
    it "draws #{kind.name.downcase}: the preview and the file have the same words, and as many pages" do
      step = Vantick::Core::Teaching::Step.with_times.reverse.find { |one| kind.tasks.empty? || kind.tasks_for(one).any? }.id
      shown = preview(kind: kind.id, step:, seed: 5, count: 2.clamp(1, kind.most), names: false).body
      expect(shown["pages"]).not_to be_empty
      expect(shown["choice"].nil?).to be(!kind.answered?)
      made = make(kind: kind.id, step:, seed: 5, count: 2.clamp(1, kind.most), names: false)
      path = kind.answered? ? "/api/checks/#{made['check_id']}/sheet.pdf" : "#{address}/material.pdf?kind=#{kind.id}&step=#{step}&seed=5"
      file = pdf(path)
      expect(file.page_count).to be >= shown["pages"].length
      words = shown["pages"].first.scan(/>([^<]+)</).flatten.map { |text| CGI.unescapeHTML(text) }
      printed = file.pages.first.runs.map(&:text).join.gsub(/\s+/, "")
      expect(words.map { |text| text.gsub(/\s+/, "") }.reject { |text| printed.include?(text) }).to eq([])
    end
  end

  # Every outline on a page begins somewhere.
  def outlines(page)
    counter = Class.new do
      attr_reader :count

      def begin_new_subpath(_x, _y) = @count = @count.to_i + 1
    end.new
    page.walk(counter)
    counter.count.to_i
  end

  describe "as it comes, for a class of 30" do
    let(:school_class) { make_class(Array.new(30) { |number| "Child #{number + 1}" }) }
    let(:alone) { make_class(["Child 1"]) }

    # @return [Array(PDF::Reader, Hash)] the file, and the check where there is one
    def printed(of, kind, step)
      made = post("/api/classes/#{of['id']}/sheets", { kind: kind.id, step: }).body if kind.answered?
      path = made ? "/api/checks/#{made['check_id']}/sheet.pdf" : "/api/classes/#{of['id']}/material.pdf?kind=#{kind.id}&step=#{step}"
      [pdf(path), made && get("/api/checks/#{made['check_id']}").body]
    end

    Vantick::Core::Choosing::SheetKind.all.each do |kind|
      it "#{kind.name.downcase} has as many exercises as were set, once, and each child's page is as one child's alone would be" do
        step = Vantick::Core::Teaching::Step.with_times.reverse.find { |one| kind.tasks.empty? || kind.tasks_for(one).any? }.id
        (file, check), (single,) = [school_class, alone].map { |of| printed(of, kind, step) }
        expect(check["items"].length).to eq(kind.id == :levels ? 3 * kind.count : kind.count) if check
        expect(check["items"].map { |item| item["child_id"] }.uniq).to eq([nil]) if check
        slips = kind.id == :slips
        expect(outlines(file.page(1))).to eq(outlines(single.page(1)) * (slips ? 4 : 1)), kind.id.to_s
        next unless slips

        expect(file.pages.first(8).map { |page| page.text.scan("Child").length }).to eq([4, 4, 4, 4, 4, 4, 4, 2])
        expect(file.page_count).to eq(single.page_count + 7)
      end
    end
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
    expect(get("/api/checks/#{own['check_id']}/sheet.pdf?spare=true")).to be_refused(422).at("only").saying(/choose for whom/)
    expect(get("#{address}/checks").body["checks"].length).to eq(2)
  end

  it "has another version for each child, with their name, and answers typed in by its code" do
    made = make(versions: "each", count: 5, seed: 2)
    check = get("/api/checks/#{made['check_id']}").body
    expect(check["items"].length).to eq(15)
    by_child = check["items"].group_by { |item| item["child_id"] }
    expect(by_child.values.map { |items| items.map { |item| item["time"] } }.uniq.length).to eq(3)
    printed = texts("/api/checks/#{made['check_id']}/sheet.pdf")
    expect(printed.first(3).zip(%w[Anneke Bram Celyn])).to all(satisfy { |page, name| page.include?(name) && page.include?(made["code"]) })
    expect(get("/api/sheets/#{made['code'].downcase}").body).to include("check_id" => check["id"])
    bram = check["children"][1]
    expect(answer(check, bram, by_child[bram["id"]].first, by_child[bram["id"]].first["right"]).body["verdict"]).to eq("right")
    expect(answer(check, bram, by_child[check["children"][0]["id"]].first, "x")).to be_refused(422).at("item_id").saying(/another child/)
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
    expect(item["right"]).to start_with("hour passed, with to; ")
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
    "a task of another kind" => [{ task: "digital_to_dial" }, 422, "task"], "too many" => [{ count: 13 }, 422, "count"],
    "an unknown paper" => [{ paper: "a5" }, 400, "paper"],
    "a kind without answers, to be kept" => [{ kind: "make" }, 422, "kind"]
  }.each do |what, (settings, status, field)|
    it "refuses #{what}, at its field" do
      asked = settings[:kind] == "make" ? post("#{address}/sheets", { step: "quarters", **settings }) : preview(**settings)
      expect(asked).to be_refused(status).at(field)
    end
  end

  it "says so where no sheet has a code" do
    expect(get("/api/sheets/XXXX")).to be_refused(404).at("code")
  end
end
