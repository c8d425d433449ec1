# frozen_string_literal: true

RSpec.describe "A class's settings" do
  let(:school_class) { make_class }
  let(:address) { "/api/classes/#{school_class['id']}" }

  def set(**conventions) = put("#{address}/conventions", { conventions: })

  it "are the usual ones to begin with" do
    expect(school_class["conventions"]).to eq(Vantick::Core::Wording::Conventions.default.to_h.to_h { |id, choice| [id.to_s, choice.to_s] })
    expect(school_class["day"]).to eq([])
  end

  it "are kept, and what is left out is the default again" do
    expect(set(to_word: "of", counting: "landmarks").body["conventions"]).to include("to_word" => "of", "counting" => "landmarks")
    changed = set(separator: "point").body
    expect(changed["conventions"]).to include("to_word" => "to", "separator" => "point")
    expect(get("/api/classes").body["classes"]).to match([include(changed)])
  end

  it "are followed in marking, in right answers and in what answers say" do
    set(to_word: "of", separator: "point", other_words: "other_words_not_accepted")
    check = make_check(school_class, count: 5)
    item = check["items"].find { |one| one["time"].end_with?(":45") }
    expect(item["right"]).to start_with("quarter of ")
    hour = item["time"].to_i
    other = answer(check, check["children"].first, item, "forty-five minutes past #{hour}").body
    expect(other["verdict"]).to eq("right_other_words")
    findings = get("/api/checks/#{check['id']}/findings").body["children"].first
    expect(findings).to include("answered" => 1, "right" => 0)
    set(other_words: "other_words_accepted")
    expect(get("/api/checks/#{check['id']}/findings").body["children"].first["right"]).to eq(1)
  end

  it "refuse what there is not, by name" do
    expect(set(to_word: "until")).to be_refused(422).at("conventions").saying(/"until".*use one of to, of, till, before/)
    expect(set(colour: "red")).to be_refused(422).at("conventions").saying(/colour/)
    expect(put("#{address}/conventions", { conventions: { to_word: 3 } })).to be_refused(400).at("conventions")
    expect(put("/api/classes/99/conventions", { conventions: {} })).to be_refused(404).at("class_id")
  end

  it "keep the class's own day in order" do
    day = [{ time: "15:30", what: "choir" }, { time: "8:05", what: "the ferry leaves" }]
    expect(put("#{address}/day", { day: }).body["day"]).to eq([{ "time" => "08:05", "what" => "the ferry leaves" },
                                                               { "time" => "15:30", "what" => "choir" }])
    expect(put("#{address}/day", { day: [{ time: "25:00", what: "x" }] })).to be_refused(422).at("day")
    expect(put("#{address}/day", { day: [{ time: "8:00", what: " " }] })).to be_refused(422).at("day").saying(/what happens/)
    expect(put("#{address}/day", { day: [{ time: "8:00", what: "x", who: "Bo" }] })).to be_refused(400).at("day")
  end
end
