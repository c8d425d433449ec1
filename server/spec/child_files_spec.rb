# frozen_string_literal: true

require_relative "support/printed"

# A child goes to another school, and the record goes along.
RSpec.describe Vantick::Server::Classes::ChildFiles do
  let(:school_class) { make_class(%w[Bo Ida]) }
  let(:other) { make_class(%w[Ada]) }
  let(:path) { "/api/classes/#{other['id']}/child-files" }

  def file(class_id = school_class["id"],
           child = school_class["children"].first)
    plain("/api/classes/#{class_id}/children/#{child['id']}/file.json").body
  end

  def sent(text) = { file: Base64.strict_encode64(text) }

  def answered
    check = make_check(school_class, count: 5)
    check["items"].zip(["quarter to eight", "qt8", "half past", "", "hour=269.6 minute=0"]).each do |item, text|
      answer(check, school_class["children"].first, item, text)
    end
    desk = desk_of(school_class)
    as(seated(desk["id"], school_class["children"].first)) { get("/api/desk/state") }
  end

  it "says who is in it and how many answers before anything is kept" do
    answered
    found = post("/api/classes/#{other['id']}/child-file-previews", sent(file)).body
    expect(found).to include("name" => "Bo", "answers" => JSON.parse(file)["answers"].length)
    expect([found["first"], found["last"]]).to all(match(/\A\d{4}-/))
    expect(store.classes.children(other["id"]).length).to eq(1)
    expect(post("/api/classes/#{other['id']}/child-file-previews", sent("{}"))).to be_refused(422).at("file")
  end

  it "takes a child with every answer, marked again, and gives out the same record" do
    answered
    store.db[:items].where(id: store.db[:items].min(:id)).update(helped: 1)
    before = JSON.parse(file)
    expect(before["answers"].count { |answer| answer["helped"] }).to eq(1)
    expect(JSONSchemer.schema(Vantick::Server::Formats::ChildFile::SCHEMA).validate(before).to_a).to eq([])
    taken = post(path, sent(file)).body
    bo = taken["children"].last
    expect(bo["name"]).to eq("Bo")
    after = JSON.parse(file(other["id"], bo))
    expect(after["answers"]).to match_array(before["answers"])
    record = ->(id, child) { get("/api/classes/#{id}/children/#{child['id']}/record").body }
    expect(record[other["id"], bo]["answers"].map { |answer| answer["verdict"] })
      .to match_array(record[school_class["id"], school_class["children"].first]["answers"].map { |answer| answer["verdict"] })
  end

  it "takes mistakes that were to be found, and what was said beside a clock" do
    made = post("/api/classes/#{school_class['id']}/sheets",
                { kind: "spot", step: "quarters", task: "spot_mistake", count: 3, seed: 1, names: true })
    check = get("/api/checks/#{made.body['check_id']}").body
    right = check["items"].map { |item| item["right"] }
    check["items"].zip(right).each { |item, text| answer(check, school_class["children"].first, item, text) }
    verdicts = JSON.parse(file)["answers"].map { |answer| answer["verdict"] }
    taken = JSON.parse(file(other["id"], post(path, sent(file)).body["children"].last))
    expect(verdicts).not_to be_empty
    expect(taken["answers"].map { |answer| answer["verdict"] }).to match_array(verdicts)
  end

  it "takes the answers that stand alone, with the teacher's rulings, what was tried second, and the school's own id" do
    check = make_check(school_class, count: 2)
    bo = school_class["children"].first
    first, second = check["items"]
    answer(check, bo, first, "quarter to eight")
    id = SecureRandom.uuid
    answer(check, bo, first, "x", id:)
    post("/api/answers/#{id}/overrides", { verdict: "right" })
    answer(check, bo, second, "ten past one")
    given = { item_id: second["id"], child_id: bo["id"], answer: second["right"], uuid: SecureRandom.uuid }
    plain = Vantick::Core::Wording::Conventions.default
    marked = Vantick::Server::Store::MarkedAnswers.judged(store.checks.find(check["id"]).items.last, second["right"], plain)
    store.turns.add_try(given, marked, answered_at: "2026-03-02T08:00:00Z")
    store.register.keep_ids({ bo["id"] => "pupil-7" })
    2.times do
      taken = post(path, sent(file)).body["children"].last
      copy = JSON.parse(file(other["id"], taken))
      expect(copy["answers"].map { |answer| answer["answer"] }).to eq(["x", "ten past one"])
      expect(copy["answers"].map do |answer|
        answer["tries"].map do |tried|
          tried.values_at("answer", "verdict")
        end
      end).to eq([[], [[second["right"], "right"]]])
      expect(copy["answers"].first["ruling"]).to include("verdict" => "right")
      expect(copy["source_id"]).to eq("pupil-7")
      record = get("/api/classes/#{other['id']}/children/#{taken['id']}/record").body
      expect(record["answers"].map { |answer| answer["verdict"] }).to include("right")
      store.db[:children].where(id: taken["id"]).update(name: "Bo #{taken['id']}", source_id: nil)
    end
  end

  it "refuses days that do not exist or lie ahead, and names the answer" do
    answered
    good = JSON.parse(file)
    { "2026-99-99T08:00:00Z" => /Answer 1: 2026-99-99/, "2026-02-30T08:00:00Z" => /Answer 1: .*isn't a day/,
      "0000-01-01T08:00:00Z" => /isn't a day/,
      "2026-03-02T25:00:00Z" => /isn't a day/, "2126-03-02T08:00:00Z" => /Answer 1: 2126-03-02 is in the future/,
      "1999-12-31T08:00:00Z" => /isn't a day/, "2026-03-02T08:61:00Z" => /isn't a day/ }.each do |moment, words|
      answers = [good["answers"].first.merge("answered_at" => moment)]
      expect(post(path, sent(JSON.generate({ **good, "answers" => answers })))).to be_refused(422).at("file").saying(words), moment
      tried = [good["answers"].first.merge("tries" => [{ "answered_at" => moment, "answer" => "x" }])]
      expect(post(path, sent(JSON.generate({ **good, "answers" => tried })))).to be_refused(422).at("file"), moment
    end
    ruled = [good["answers"].first.merge("ruling" => { "verdict" => "lovely", "ruled_at" => "2026-03-02T08:00:00Z" })]
    expect(post(path, sent(JSON.generate({ **good, "answers" => ruled })))).to be_refused(422).at("file").saying(/lovely is not a result/)
  end

  it "leaves no page to fall because of one bad row: it is left out, named, and logged" do
    answered
    bo = school_class["children"].first
    rows = store.db[:answers].order(:id)
    bad = rows.first[:id]
    wrong = { answered_at: "2026-99-99T08:00:00Z", verdict: "lovely" }
    pages = ["ladder", "groups", "history", "checks", "children/#{bo['id']}/record", "register", "answers.csv", "oneroster.zip"]
    wrong.each do |column, value|
      was = rows.first[column]
      rows.where(id: bad).update(column => value)
      expect { pages.each { |page| expect(plain("/api/classes/#{school_class['id']}/#{page}").status).to eq(200), page } }
        .to output(/answer #{bad} cannot be read and is left out/).to_stderr
      record = get("/api/classes/#{school_class['id']}/children/#{bo['id']}/record").body
      expect([record["answers"].length, record["unreadable"].map { |one| one["why"] }]).to match([4, [/#{value}/]])
      rows.where(id: bad).update(column => was)
    end
    store.db[:checks].update(step: "sevens")
    store.db[:items].update(step: nil)
    expect { get("/api/classes/#{school_class['id']}/children/#{bo['id']}/record") }.to output(/"sevens" is not a step/).to_stderr
    expect(get("/api/classes/#{school_class['id']}/ladder").status).to eq(200)
  end

  it "is a file to read as well, with every picture of the child's paper" do
    answered
    bo = school_class["children"].first
    item_id = store.db[:items].get(:id)
    scan = store.scans.add(class_id: school_class["id"], name: "x.pdf", bytes: 3, made_at: "2026-03-02T08:00:00Z")
    store.scans.update(scan.id, state: "reading")
    shades = Vantick::Core::Paper::GrayImage.new(40, 20, (0...800).map { |at| at % 256 }.pack("C*"))
    picture = Sequel.blob(Vantick::Server::Pages::GreyPng.write(shades))
    piece = { item_id:, child_id: bo["id"], kind: "words", seen: "", sure: 0, guesses: "[]", picture: }
    page = { number: 1, state: "read", words: "", check_id: 1, child_id: bo["id"], page: 1, picture: nil }
    store.scans.add_pages(scan.id, [{ **page, pieces: [piece] }])
    store.db[:children].where(id: bo["id"]).update(name: "Бo 🕒")
    bytes = plain("/api/classes/#{school_class['id']}/children/#{bo['id']}/file.pdf").body
    printed = Printed.new(bytes)
    text = printed.texts.join(" ")
    expect(text).to include("Everything about").and include("qt8").and include("half past").and include("Written beside")
    expect(text).to include("short hand at 270 degrees")
    path = File.join(folder, "child.pdf").tap { |file| File.binwrite(file, bytes) }
    expect(IO.popen(["pdfimages", "-list", path], &:read).lines.length).to eq(3)
  end

  it "takes a child of whom nothing was asked, and none into a class that is full" do
    taken = post(path, sent(file)).body["children"].map { |child| child["name"] }
    expect(taken).to eq(%w[Ada Bo])
    expect(get("/api/classes/#{other['id']}/checks").body["checks"]).to eq([])
    post("/api/classes/#{other['id']}/children", { names: Array.new(38) { |at| "Child #{at}" } })
    ida = file(school_class["id"], school_class["children"].last)
    expect(post(path, sent(ida))).to be_refused(422).at("file").saying(/at most 40/)
  end

  it "names what is wrong with a file, and takes nothing of it" do
    answered
    good = JSON.parse(file)
    wrong = {
      "no json" => /isn't a child's file/, "{}" => /The file/, JSON.generate({ **good, "version" => 2 }) => /version/,
      JSON.generate({ **good, "answers" => [good["answers"].first.merge("time" => "25:00")] }) => /Answer 1,time/,
      JSON.generate({ **good, "answers" => [good["answers"].first.merge("step" => "sevens")] }) => /Answer 1: .*sevens/,
      JSON.generate({ **good, "name" => "ADA" }) => /look too alike/, JSON.generate({ **good, "name" => " " }) => /is empty/
    }
    wrong.each do |text, words|
      expect(post(path, sent(text))).to be_refused(422).at("file").saying(words), text[0, 60]
    end
    expect(get("/api/classes/#{other['id']}/register").body["children"].map { |child| child["name"] }).to eq(%w[Ada])
    expect(get("/api/classes/#{other['id']}/checks").body["checks"]).to eq([])
  end
end
