# frozen_string_literal: true

RSpec.describe Vantick::Server::Check::Checks do
  let(:school_class) { make_class }
  let(:wanted) { { step: "fives", task: "dial_to_words", count: 5, seed: 7 } }

  def choice(query) = get("/api/classes/#{school_class['id']}/choice?#{URI.encode_www_form(query)}")

  it "shows the times that core chooses, and what they can tell" do
    core = Vantick::Core::Choosing::Chooser.choose(step: Vantick::Core::Curriculum::Step.find("fives"),
                                                   task: Vantick::Core::Tasks::Task.find("dial_to_words"),
                                                   count: 5, seed: 7)
    expect(choice(wanted).body).to eq("times" => core.times.map(&:to_s), "pairs_told_apart" => core.pairs_told_apart,
                                      "pairs_possible" => core.pairs_possible, "chances" => core.chances.transform_keys(&:to_s))
  end

  it "makes the check that was shown" do
    shown = choice(wanted).body["times"]
    check = make_check(school_class, **wanted)
    expect(check["items"].map { |item| item["time"] }).to eq(shown)
    expect(check["items"].map { |item| item["right"] }).to eq(shown.map { |time|
      Vantick::Core::Wording::Phrase.usual(Vantick::Core::Dial::DialTime.parse(time))
    })
    expect(get("/api/checks/#{check['id']}").body).to eq(check)
  end

  it "avoids the times of the check before" do
    first = make_check(school_class, **wanted)["items"].map { |item| item["time"] }
    expect(choice(wanted).body["times"] & first).to eq([])
  end

  it "lists checks newest first, with how far they have come" do
    older = make_check(school_class)
    newer = make_check(school_class, task: "dial_to_digital", count: 3)
    answer(older, older["children"].first, older["items"].first, "???")
    listed = get("/api/classes/#{school_class['id']}/checks").body["checks"]
    expect(listed.map { |check| check["id"] }).to eq([newer["id"], older["id"]])
    expect(listed.last).to include("items" => 5, "children" => 2, "answered" => 1, "answers" => 1, "unreadable" => 1)
    expect(get("/api/classes/#{school_class['id']}/checks?limit=1").body["checks"].length).to eq(1)
  end

  it "lists all there are, page by page; desks for practice that nobody came to are none" do
    made = Array.new(5) { |number| make_check(school_class, step: number.even? ? "quarters" : "oclock")["id"] }
    40.times { desk_of(school_class) }
    answer(get("/api/checks/#{made[1]}").body, school_class["children"].first, get("/api/checks/#{made[1]}").body["items"].first, "7:45")
    list = lambda { |query|
      get("/api/classes/#{school_class['id']}/checks?#{query}").body.then do |body|
        [body["checks"].map do |check|
          check["id"]
        end, body["more"]]
      end
    }
    expect(list["limit=2"]).to eq([made.last(2).reverse, true])
    expect(list["limit=10&before=#{made[3]}"]).to eq([made.first(3).reverse, false])
    expect(list["step=oclock"]).to eq([[made[3], made[1]], false])
    expect(list["answered=true"]).to eq([[made[1]], false])
    store.db[:checks].where(id: made[2]).update(made_at: "2026-03-31T22:00:00Z")
    expect([list["month=2026-03"], list["month=2026-04"]]).to eq([[[made[2]], false], [[], false]])
  end

  {
    "0 items" => [{ count: 0 }, 422, "count", /1 to 12/],
    "500 items" => [{ count: 500 }, 422, "count", /1 to 12/],
    "more than a step has" => [{ step: "oclock", count: 13 }, 422, "count", /1 to 12/],
    "a count that is no number" => [{ count: "many" }, 400, "count", /whole number/],
    "an unknown task" => [{ task: "dial_to_song" }, 422, "task", /use one of dial_to_digital, dial_to_words/],
    "an unknown step" => [{ step: "sevens" }, 422, "step", /use one of/],
    "a step without times" => [{ step: "hands" }, 422, "step", /use one of/],
    "a seed below nothing" => [{ seed: -1 }, 400, "seed", /at least 0/]
  }.each do |what, (change, status, field, words)|
    it "refuses #{what}, when looking and when making" do
      expect(choice({ **wanted, **change })).to be_refused(status).at(field).saying(words)
      made = post("/api/classes/#{school_class['id']}/checks", { **wanted, **change })
      expect(made).to be_refused(status).at(field).saying(words)
      expect(get("/api/classes/#{school_class['id']}/checks").body["checks"]).to eq([])
    end
  end

  it "refuses a check for an empty class" do
    empty = store.classes.add(name: "Nobody", school: "", names: [], made_at: "2026-01-01T00:00:00Z")
    expect(post("/api/classes/#{empty[:id]}/checks", wanted)).to be_refused(422).at("class_id").saying(/no children/)
  end

  it "says what is not there" do
    ["/api/classes/99/checks", "/api/classes/99/choice?#{URI.encode_www_form(wanted)}"].each do |path|
      expect(get(path)).to be_refused(404).at("class_id").saying(/no class 99/)
    end
    expect(get("/api/checks/99")).to be_refused(404).at("check_id")
    expect(get("/api/checks/99/findings")).to be_refused(404).at("check_id")
    expect(get("/api/classes/99/news")).to be_refused(404).at("class_id")
    expect(get("/api/checks/seven")).to be_refused(400).at("check_id").saying(/whole number/)
    expect(get("/api/checks/99999999999999999999")).to be_refused(400).at("check_id")
  end

  describe "findings" do
    it "names what most children share, and each child's evidence, own hits first" do
      check = make_check(make_class(%w[Bram Dara Freya]))
      bram, dara, = check["children"]
      to_items = check["items"].select { |item| item["time"].end_with?(":45") }
      passed_hour = ->(item) { "quarter to #{((item['time'].to_i - 1) % 12) + 1}" }
      to_items.each { |item| [bram, dara].each { |child| answer(check, child, item, passed_hour[item]) } }
      findings = get("/api/checks/#{check['id']}/findings").body
      expect(findings["shared"].first).to include("misreading" => "to_with_passed_hour", "child_ids" => [bram["id"], dara["id"]])
      expect(findings["children"].first).to include("name" => "Bram", "answered" => to_items.length, "right" => 0)
      expect(findings["children"].first["evidence"].first).to include("hits" => to_items.length, "chances" => to_items.length,
                                                                      "shown" => true)
      expect(findings["children"].last).to include("name" => "Freya", "answered" => 0, "evidence" => [])
    end

    it "has nothing to say before there are answers" do
      expect(get("/api/checks/#{make_check(school_class)['id']}/findings").body).to include("shared" => [])
    end

    it "are the news of a class with its last check and the last one with answers" do
      id = school_class["id"]
      news = -> { get("/api/classes/#{id}/news").body }
      expect(news.call).to eq("last" => nil, "answered" => nil, "findings" => nil)
      first = make_check(school_class)
      expect(news.call).to include("last" => include("id" => first["id"]), "answered" => nil, "findings" => nil)
      answer(first, first["children"].first, first["items"].first, "3:15")
      summary = get("/api/classes/#{id}/checks").body["checks"].first
      findings = get("/api/checks/#{first['id']}/findings").body
      expect(news.call).to eq("last" => summary, "answered" => summary, "findings" => findings)
      make_check(school_class)
      expect(news.call).to include("last" => get("/api/classes/#{id}/checks").body["checks"].first, "answered" => summary)
    end

    it "tells an empty slip, none yet, and a child who came later apart" do
      school_class = make_class(%w[Ana Bo Cem])
      check = make_check(school_class)
      ana, bo, = school_class["children"]
      answer(check, ana, check["items"].first, "3:15")
      answer(check, bo, check["items"].first, "-")
      allow(Vantick::Server::Clock).to receive(:now).and_return(Time.now.utc + 86_400)
      post("/api/classes/#{school_class['id']}/children", { names: ["Dara"] })
      slips = -> { get("/api/checks/#{check['id']}/findings").body["children"].to_h { |child| child.values_at("name", "slip") } }
      expect(slips.call).to eq("Ana" => "answered", "Bo" => "empty", "Cem" => "none", "Dara" => "not_here_then")
      expect(get("/api/classes/#{school_class['id']}/checks").body["checks"].first).to include("children" => 3)
      dara = get("/api/checks/#{check['id']}").body["children"].last
      answer(check, dara, check["items"].first, "-")
      expect(slips.call).to include("Dara" => "empty")
      fresh = make_check(school_class)
      expect(get("/api/checks/#{fresh['id']}/findings").body["children"].map { |child| child["slip"] }).to eq(%w[none] * 4)
    end
  end
end
