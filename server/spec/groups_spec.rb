# frozen_string_literal: true

require_relative "support/printed"

# Groups that a teacher put together, and what is made for one of them.
RSpec.describe Vantick::Server::Store::KeptGroups do
  let(:school_class) { make_class(%w[Bo Ida Tom Una]) }
  let(:path) { "/api/classes/#{school_class['id']}" }
  let(:ids) { school_class["children"].map { |child| child["id"] } }

  def groups = get("#{path}/groups").body

  def group(child_ids) = { child_ids:, misreadings: [], step: "quarters", beside: false, times: ["7:45"] }

  def keep(*some) = put("#{path}/groups", { groups: some.map { |child_ids| group(child_ids) } })

  it "stand until others are asked for" do
    proposed = groups
    expect(proposed["kept_at"]).to be_nil
    keep(ids.first(1), ids.drop(1))
    expect(groups["groups"].map { |group| group["child_ids"] }).to eq([ids.first(1), ids.drop(1)])
    expect(Time.iso8601(groups["kept_at"])).to be_within(60).of(Time.now)
    expect(delete("#{path}/groups").body).to eq(proposed)
    expect(groups).to eq(proposed)
  end

  it "let go who left, and take in who came since" do
    keep(ids.first(1), ids.drop(1))
    post("#{path}/children/#{ids.first}/absence", { left: true })
    post("#{path}/children", { names: ["Per"] })
    expect(groups["groups"].map { |group| group["child_ids"].length }).to eq([4])
  end

  it "have each child of the class once, and nobody else" do
    other = make_class(%w[Ada])["children"].first["id"]
    expect(keep([*ids, other])).to be_refused(422).at("groups").saying(/isn't in the class/)
    expect(keep(ids, ids.first(1))).to be_refused(422).at("groups").saying(/one group only/)
    expect(groups["kept_at"]).to be_nil
  end

  it "have a lesson of their own, whose copy is theirs too" do
    lesson = post("#{path}/lessons", { day: "2026-03-02", step: "quarters", minutes: 30, seed: 1, child_ids: ids.first(2) }).body
    expect(lesson["child_ids"]).to eq(ids.first(2))
    copy = post("/api/lessons/#{lesson['id']}/copies", { day: "2026-03-09", seed: 2 }).body
    expect(copy["child_ids"]).to eq(ids.first(2))
    expect(get("#{path}/lessons").body["lessons"].map { |one| one["child_ids"] }).to eq([ids.first(2)] * 2)
    other = make_class(%w[Ada])["children"].first["id"]
    expect(post("#{path}/lessons", { day: "2026-03-02", step: "quarters", minutes: 30, seed: 1, child_ids: [other] }))
      .to be_refused(422).at("child_ids")
  end

  it "have a sheet for exactly those children, also when it is printed once more" do
    made = post("#{path}/sheets", { kind: "slips", step: "quarters", versions: "each", child_ids: ids.first(2) }).body
    items = get("/api/checks/#{made['check_id']}").body["items"]
    expect(items.map { |item| item["child_id"] }.uniq).to eq(ids.first(2))
    text = Printed.new(plain("/api/checks/#{made['check_id']}/sheet.pdf?part=sheets").body).texts.join
    expect(%w[Bo Ida Tom Una].select { |name| text.include?(name) }).to eq(%w[Bo Ida])
  end
end
