# frozen_string_literal: true

RSpec.describe Vantick::Server::Classes::Records do
  let(:school_class) { make_class(%w[Anneke Bram Celyn]) }
  let(:address) { "/api/classes/#{school_class['id']}" }
  let(:check) { make_check(school_class, count: 8) }

  # Bram names the passed hour with to, all else is right.
  def fill(check)
    task = Vantick::Core::Tasks::Task.find(check["task"])
    misreading = Vantick::Core::Reading::Misreading.find("to_with_passed_hour")
    children = check["children"].first(2).zip([[], [misreading]])
    children.each do |child, misreadings|
      simulated = Vantick::Core::Simulation::SimulatedChild.new(misreadings:)
      check["items"].each { |item| answer(check, child, item, simulated.answer(Vantick::Core::Dial::DialTime.parse(item["time"]), task)) }
    end
  end

  def record(child) = get("#{address}/children/#{check['children'][child]['id']}/record").body

  it "tell of a child each misreading with the answers behind it, and what would settle it" do
    fill(check)
    bram = record(1)
    expect(bram).to include("verdict" => "likely", "likely" => ["to_with_passed_hour"])
    piece = bram["evidence"].first
    expect(piece).to include("misreading" => "to_with_passed_hour", "hits" => 2, "chances" => 2)
    behind = bram["answers"].select { |answer| piece["behind"].include?(answer["id"]) }
    expect(behind.map { |one| one["time"] }).to all(end_with(":45"))
    expect(bram["next_best"]).to include("task" => "dial_to_words", "step" => "quarters")
    # Clocks that help are of the step at which the mistakes were made.
    expect(piece["times"]).not_to be_empty
    expect(piece["times"]).to all(match(/:(15|30|45|00)\z/).and(satisfy { |time| !time.end_with?(":00") }))
    expect(bram["answers"].length).to eq(8)
    expect(bram["checks"]).to eq(["day" => Date.jd(Vantick::Server::Store::SchoolDay.today).iso8601, "answered" => 8, "right" => 6])
    expect(record(0)).to include("verdict" => "secure", "evidence" => [])
    expect(record(0)).to include("leans" => "secure")
    expect(record(2)).to include("verdict" => "not enough to say", "leans" => nil, "answers" => [])
  end

  it "tell what a child leaves blank, and where paper and devices differ" do
    expect(record(0)).to include("blank" => nil, "places" => nil)
    fill(check)
    child = check["children"][0]
    check["items"].select { |item| item["time"].end_with?(":45") }.each { |item| answer(check, child, item, "-") }
    more = make_check(school_class, step: "fives_to", count: 4)
    more["items"].each { |item| answer(more, child, item, "-") }
    expect(record(0)["blank"]).to include("what" => "to").and include("blank" => be >= 4)
  end

  it "tell of a check whose children gave the same answers that no mistake explains" do
    odd = ["twenty past nine", "ten past eleven", "five past eight", "twenty past six"]
    check["items"].zip(odd.cycle).each do |item, text|
      check["children"].first(2).each { |child| answer(check, child, item, text) }
    end
    alike = get("/api/checks/#{check['id']}/findings").body["alike"]
    expect(alike.map { |one| one["child_ids"] }).to eq([check["children"].first(2).map { |child| child["id"] }])
    expect(alike.first["clocks"]).to be >= 3
    answer(check, check["children"][2], check["items"].first, "half past ten")
    expect(get("/api/checks/#{check['id']}/findings").body["alike"].length).to eq(1)
  end

  it "put children into groups for tomorrow, with what they need and three times" do
    fill(check)
    groups = get("#{address}/groups").body["groups"]
    expect(groups.flat_map { |group| group["child_ids"] }).to match_array(check["children"].map { |child| child["id"] })
    expect(groups.first).to include("misreadings" => ["to_with_passed_hour"], "times" => have_attributes(length: 3))
    expect(get("#{address}/groups?most=0")).to be_refused(400).at("most")
  end

  it "tell of the class week by week" do
    expect(get("#{address}/history").body["weeks"]).to eq([])
    fill(check)
    week = get("#{address}/history").body["weeks"].last
    expect(week).to include("answers" => 16, "misreadings" => { "to_with_passed_hour" => 1 })
    expect(week["secure"]).to include("quarters" => 0)
  end

  it "are of the class's own children alone" do
    other = make_class(%w[Dara])
    expect(get("#{address}/children/#{other['children'].first['id']}/record")).to be_refused(404).at("child_id")
    expect(get("/api/classes/99/groups")).to be_refused(404).at("class_id")
  end

  it "looks back over the whole year, past the answers that judge a child now" do
    one = make_class(["Ida"])
    check = make_check(one, count: 8)
    asked = check["items"]
    rows = Array.new(320) do |at|
      { uuid: SecureRandom.uuid, item_id: asked[at % 8]["id"], child_id: one["children"].first["id"], answer: "x", verdict: "right",
        read_as: "x", read_short: "x", misreadings: "", slips: "",
        answered_at: (Time.now.utc - ((300 - (at * 300 / 320)) * 86_400)).iso8601 }
    end
    store.db[:answers].multi_insert(rows)
    weeks = get("/api/classes/#{one['id']}/history").body["weeks"]
    expect(weeks.length).to be > 40
    expect(weeks.sum { |week| week["answers"] }).to eq(320)
  end
end
