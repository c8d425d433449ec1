# frozen_string_literal: true

# Weeks of help for a child, on one page.
RSpec.describe Vantick::Server::Classes::Supports do
  let(:names) { %w[Anneke Bram Celyn Dara Elio Freya] }
  let!(:school_class) { make_class(names) }
  let(:child) { school_class["children"].last }
  let(:path) { "/api/classes/#{school_class['id']}/children/#{child['id']}/support" }

  after { Vantick::Server::Clock.set(nil) }

  # A day on which all but the last child answer all rightly, and the last one so many of them.
  def checked(day, right: 0)
    Vantick::Server::Clock.set(Time.utc(2026, 11, day, 10))
    %w[oclock half_past].product(%w[dial_to_words dial_to_digital]).each do |step, task|
      check = make_check(school_class, step:, task:, count: 6, seed: day)
      all = check["items"].map { |item| item["right"] }
      rows = names.map { |name| name == child["name"] ? [name, *all.first(right), *Array.new(6 - right, "3:17")] : [name, *all] }
      post("/api/checks/#{check['id']}/tables", { table: rows.map { |row| row.join(",") }.join("\n") })
    end
  end

  it "proposes three weeks for a child who is far below, each with clocks of its step" do
    [2, 4, 6].each { |day| checked(day) }
    record = get(path).body
    expect(record).to include("far_below" => true, "begun" => false, "began_on" => nil, "after" => nil, "minutes" => 10,
                              "times_a_week" => 4)
    expect(record["weeks"].map { |week| week["times"].length }).to eq([5, 5, 5])
    expect(record["before"]).to include("answered" => 36, "right" => 0)
    other = get("/api/classes/#{school_class['id']}/children/#{school_class['children'].first['id']}/support").body
    expect(other["far_below"]).to be(false)
  end

  it "keeps the plan once it has begun, and tells what the child knew before and after it" do
    [2, 4, 6].each { |day| checked(day) }
    begun = post(path, {})
    expect(begun.status).to eq(201)
    expect(begun.body).to include("begun" => true, "began_on" => "2026-11-06", "ends_on" => "2026-11-27", "after" => nil)
    [10, 12, 14, 16].each { |day| checked(day, right: 6) }
    now = get(path).body
    expect(now["weeks"]).to eq(begun.body["weeks"])
    expect(now["before"]["right"]).to eq(0)
    steps = now["weeks"].map { |week| week["step"] }.uniq
    expect(now["after"]).to include("day" => "2026-11-16", "steps" => have_attributes(length: steps.length))
    expect(now["after"]["right"]).to be_positive
    states = %w[before after].map { |time| now[time]["steps"].find { |step| step["step"] == "oclock" } }
    expect(states.map { |state| state && state["state"] }).to eq(%w[learning secure])
    Vantick::Server::Clock.set(Time.utc(2027, 1, 20, 10))
    expect(get(path).body["after"]["day"]).to eq("2026-11-27")
  end

  it "is discarded without an answer being lost, and isn't begun where there is nothing left" do
    checked(2)
    post(path, {})
    answers = store.db[:answers].count
    expect(delete(path).body["begun"]).to be(false)
    expect(delete(path)).to be_refused(404).at("child_id")
    expect(store.db[:answers].count).to eq(answers)
  end

  it "is nothing of a child who left or is in another class" do
    other = make_class(["Ida"])
    expect(get("/api/classes/#{other['id']}/children/#{child['id']}/support").status).to eq(404)
    post("/api/classes/#{school_class['id']}/children/#{child['id']}/absence", { left: true })
    expect(get(path).status).to eq(404)
  end
end
