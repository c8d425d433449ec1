# frozen_string_literal: true

# The page for the head of a school.
RSpec.describe Vantick::Server::Account::Report do
  let(:names) { (1..8).map { |number| "Child#{('A'..'Z').to_a[number]}" } }
  let!(:school_class) { make_class(names) }
  let(:ids) { school_class["children"].map { |child| child["id"] } }

  def report(**query) = get("/api/school/report?#{URI.encode_www_form(query)}")

  it "tells counts by class in the order of their names, and no name of a child or a teacher" do
    post("/api/classes", { name: "Avocet", children: %w[Bo Ida] })
    check = make_check(school_class)
    school_class["children"].each { |child| answer(check, child, check["items"].first, check["items"].first["right"]) }
    body = report.body
    expect(body["classes"].map { |one| one["name"] }).to eq(%w[Avocet Curlew])
    expect(body["classes"].map { |one| one["counts"].last }).to eq([nil, { "level" => "none", "met" => nil, "of" => 8 }])
    expect(body["days"].last).to eq(Date.jd(Vantick::Server::Store::SchoolDay.today).iso8601)
    expect(body["total"].last).to eq("level" => "none", "met" => nil, "of" => 10)
    expect(JSON.generate(body)).not_to match(/Child[B-I]|Marit|Bo\b/)
  end

  it "has the standards of the school's country, and refuses others" do
    store.school.live_in("gb")
    expect(report.body["standards"]).to all(start_with("England"))
    expect(report(standard: "England year 2").body["standard"]).to eq("England year 2")
    expect(report(standard: "CCSS 1.MD.B.3")).to be_refused(422).at("standard")
  end

  describe "of those far below" do
    let(:names) { (0..15).map { |number| "Child#{('A'..'Z').to_a[number]}" } }

    after { Vantick::Server::Clock.set(nil) }

    # A day on which the first eleven answer all rightly, and the others one clock wrongly.
    def checked(day)
      Vantick::Server::Clock.set(Time.utc(2026, 11, day, 10))
      %w[oclock half_past].product(%w[dial_to_words dial_to_digital]).each do |step, task|
        check = make_check(school_class, step:, task:, count: 6, seed: day)
        right = check["items"].map { |item| item["right"] }
        rows = names.map.with_index { |name, at| at < 11 ? [name, *right] : [name, "3:17"] }
        post("/api/checks/#{check['id']}/tables", { table: rows.map { |row| row.join(",") }.join("\n") })
      end
    end

    it "counts for how many something was made since, and how many are far below no more" do
      [2, 4, 6].each { |day| checked(day) }
      Vantick::Server::Clock.set(Time.utc(2026, 12, 20, 10))
      post("/api/classes/#{school_class['id']}/lessons",
           { day: "2026-12-18", step: "quarters", minutes: 40, seed: 1, child_ids: ids.last(5) })
      post("/api/classes/#{school_class['id']}/lessons", { day: "2026-12-19", step: "quarters", minutes: 40, seed: 1 })
      post("/api/classes/#{school_class['id']}/desks", { kind: "practice", child_ids: [ids.first] })
      support = report.body["support"]
      expect(support).to include("since" => "2026-11-08", "below" => { "level" => "some", "met" => 5, "of" => 16 },
                                 "helped" => { "level" => "all", "met" => nil, "of" => 5 },
                                 "closer" => { "level" => "none", "met" => nil, "of" => 5 },
                                 "made" => { "lessons" => 1, "sheets" => 0, "sessions" => 0 })
    end
  end

  it "is only for whoever keeps the school" do
    report
    as(signed_in("Wietske")) { expect(report.status).to eq(403) }
  end
end
