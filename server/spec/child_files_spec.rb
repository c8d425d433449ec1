# frozen_string_literal: true

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
    check["items"].zip(["quarter to eight", "qt8", "half past", "", "x"]).each do |item, text|
      answer(check, school_class["children"].first, item, text)
    end
    desk = desk_of(school_class)
    as(seated(desk["id"], school_class["children"].first)) { get("/api/desk/state") }
  end

  it "takes a child with every answer, marked again, and gives out the same record" do
    answered
    before = JSON.parse(file)
    expect(JSONSchemer.schema(Vantick::Server::Formats::ChildFile::SCHEMA).validate(before).to_a).to eq([])
    taken = post(path, sent(file)).body
    bo = taken["children"].last
    expect(bo["name"]).to eq("Bo")
    after = JSON.parse(file(other["id"], bo))
    expect(after["answers"]).to match_array(before["answers"])
    record = ->(id, child) { get("/api/classes/#{id}/children/#{child['id']}/record").body }
    expect(record[other["id"], bo]["answers"].map { |one| one["verdict"] })
      .to match_array(record[school_class["id"], school_class["children"].first]["answers"].map { |one| one["verdict"] })
  end

  it "takes mistakes that were to be found, and what was said beside a clock" do
    made = post("/api/classes/#{school_class['id']}/sheets",
                { kind: "spot", step: "quarters", task: "spot_mistake", count: 3, seed: 1, names: true })
    check = get("/api/checks/#{made.body['check_id']}").body
    right = check["items"].map { |item| item["right"] }
    check["items"].zip(right).each { |item, text| answer(check, school_class["children"].first, item, text) }
    verdicts = JSON.parse(file)["answers"].map { |one| one["verdict"] }
    taken = JSON.parse(file(other["id"], post(path, sent(file)).body["children"].last))
    expect(verdicts).not_to be_empty
    expect(taken["answers"].map { |one| one["verdict"] }).to match_array(verdicts)
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
      "no json" => /no child's file/, "{}" => /The whole/, JSON.generate({ **good, "version" => 2 }) => /version/,
      JSON.generate({ **good, "answers" => [good["answers"].first.merge("time" => "25:00")] }) => /Answer 1,time/,
      JSON.generate({ **good, "answers" => [good["answers"].first.merge("step" => "sevens")] }) => /Answer 1: .*sevens/,
      JSON.generate({ **good, "name" => "ADA" }) => /too alike/, JSON.generate({ **good, "name" => " " }) => /is empty/
    }
    wrong.each do |text, words|
      expect(post(path, sent(text))).to be_refused(422).at("file").saying(words), text[0, 60]
    end
    expect(get("/api/classes/#{other['id']}/register").body["children"].map { |child| child["name"] }).to eq(%w[Ada])
    expect(get("/api/classes/#{other['id']}/checks").body["checks"]).to eq([])
  end
end
