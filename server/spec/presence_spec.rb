# frozen_string_literal: true

RSpec.describe Vantick::Server::Classes::Presence do
  let(:school_class) { make_class(%w[Anneke Bram Celyn]) }
  let(:child) { school_class["children"].first }
  let(:address) { "/api/classes/#{school_class['id']}/away" }
  let(:day) { Date.jd(Vantick::Server::Store::SchoolDay.today).iso8601 }

  def away(child_id, away, on: day) = put(address, { day: on, child_id:, away: })

  def states(of = child)
    ladder = get("/api/classes/#{school_class['id']}/ladder").body
    ladder["children"].find { |one| one["child_id"] == of["id"] }["states"]
  end

  it "is said with one tap and taken back with one" do
    expect(get("#{address}?day=#{day}").body).to eq("day" => day, "child_ids" => [])
    expect(away(child["id"], true).body["child_ids"]).to eq([child["id"]])
    expect(away(child["id"], true).body["child_ids"]).to eq([child["id"]])
    expect(get("#{address}?day=2026-03-02").body["child_ids"]).to eq([])
    expect(away(child["id"], false).body["child_ids"]).to eq([])
  end

  it "is for children of the class and for days alone" do
    other = make_class(%w[Dara])["children"].first
    expect(away(other["id"], true)).to be_refused(422).at("child_id").saying(/isn't in the class/)
    expect(away(child["id"], true, on: "yesterday")).to be_refused(400).at("day")
  end

  it "keeps a lesson of that day from counting for the child, and counts again once it is taken back" do
    lesson = post("/api/classes/#{school_class['id']}/lessons", { day:, step: "half_past", minutes: 40, seed: 1 }).body
    post("/api/lessons/#{lesson['id']}/runs", { left_out: [] })
    expect(states["half_past"]).to eq("learning")
    away(child["id"], true)
    expect(states["half_past"]).to eq("not_yet")
    expect(states(school_class["children"].last)["half_past"]).to eq("learning")
    away(child["id"], false)
    expect(states["half_past"]).to eq("learning")
  end
end
