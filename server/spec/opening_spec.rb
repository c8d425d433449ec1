# frozen_string_literal: true

# What desks cannot be opened for, each at its field.
RSpec.describe Vantick::Server::Desks::Opening do
  let(:school_class) { make_class(%w[Bo Ida]) }
  let(:other) { make_class(%w[Ada]) }
  let(:ids) { school_class["children"].map { |child| child["id"] } }

  def opened(**how) = post("/api/classes/#{school_class['id']}/desks", how)

  def lesson_of(one, **how)
    post("/api/classes/#{one['id']}/lessons", { day: "2026-03-02", step: "quarters", minutes: 40, seed: 1, **how }).body
  end

  it "needs children: a class with some, at least one, each of the class" do
    expect(opened(kind: "practice", child_ids: [])).to be_refused(422).at("child_ids").saying(/at least one child/)
    expect(opened(kind: "practice", child_ids: [ids.first, other["children"].first["id"]])).to be_refused(422).at("child_ids")
    expect(opened(kind: "practice", child_ids: [ids.first, ids.first]).body["child_ids"]).to eq([ids.first])
    ids.each { |id| post("/api/classes/#{school_class['id']}/children/#{id}/absence", { left: true }) }
    expect(opened(kind: "practice")).to be_refused(422).at("child_ids").saying(/no children yet/)
  end

  it "is for a lesson or a check of this class, and for one that a screen can ask" do
    expect(opened(kind: "exit")).to be_refused(422).at("lesson_id").saying(/Choose a lesson or check/)
    expect(opened(kind: "stage", stage: "alone")).to be_refused(422).at("lesson_id").saying(/Choose a lesson/)
    expect(opened(kind: "exit", check_id: make_check(other)["id"])).to be_refused(404).at("check_id")
    expect(opened(kind: "stage", stage: "alone", lesson_id: lesson_of(other)["id"])).to be_refused(404).at("lesson_id")
    practice = desk_of(school_class)
    expect(opened(kind: "exit", check_id: practice["check_id"])).to be_refused(422).at("check_id").saying(/free practice/)
  end

  it "is for a stage that has a time" do
    lesson = lesson_of(school_class)
    expect(opened(kind: "stage", stage: "warm_up_of_nothing",
                  lesson_id: lesson["id"])).to be_refused(422).at("stage").saying(/Choose a part/)
    expect(opened(kind: "stage", stage: "alone", lesson_id: lesson["id"]).body).to include("kind" => "stage", "open" => true)
  end
end
