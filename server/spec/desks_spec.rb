# frozen_string_literal: true

RSpec.describe "A teacher's desks" do
  include DeskHelpers

  let(:lesson) { post("/api/classes/#{school_class['id']}/lessons", { day: "2026-03-02", step: "quarters", minutes: 40, seed: 1 }).body }

  def opened(**how) = post("/api/classes/#{school_class['id']}/desks", how)

  it "open with the address, a code, and the same as a QR code; the list has the newest first" do
    expect(desk).to include("kind" => "practice", "step" => "quarters", "open" => true, "reachable" => true)
    expect(desk["code"]).to match(/\A[A-Z2-9]{5}\z/)
    expect(desk["address"]).to end_with("/join")
    expect(desk["qr"]).to match(/\A[Mhvz\d. -]+\z/i)
    newer = opened(kind: "practice").body
    expect(get("/api/classes/#{school_class['id']}/desks").body["desks"].map { |desk| desk["id"] }).to eq([newer["id"], desk["id"]])
  end

  it "say that other devices cannot reach an address of this machine alone" do
    local = app.get("http://127.0.0.1:4567/api/desks/#{desk['id']}", "HTTP_COOKIE" => cookie)
    expect(JSON.parse(local.body)["desk"]).to include("reachable" => false, "address" => "http://127.0.0.1:4567/join")
  end

  it "open for a group: others are not on the list, and cannot join" do
    group = opened(kind: "practice", child_ids: [child["id"]]).body
    names = as("") { post("/api/desk/doors", { code: group["code"] }).body["children"] }
    expect(names).to eq([child])
    other = school_class["children"].last
    pictures = pictures_of(other)
    expect(as("") { post("/api/desk/seats", { code: group["code"], child_id: other["id"], pictures: }) }).to be_refused(422).at("child_id")
  end

  it "close for all: nothing more is asked" do
    2.times { 2.times { state["turn"].then { |turn| send_answers(turn, turn["items"].map { "25" }) } } }
    expect(live).to include("stuck" => "running", "asked" => include("second" => false))
    expect(post("/api/desks/#{desk['id']}/closing", {}).body).to include("open" => false, "qr" => "")
    expect(state).to include("open" => false, "turn" => nil, "ahead" => [])
    expect(live).to include("joined" => true, "asked" => nil, "stuck" => nil)
    expect(as(seat) { post("/api/desk/rounds", {}) }).to be_refused(422).at("round").saying(/finished for now/)
  end

  it "let each child practise at their own step, where none is named" do
    own = opened(kind: "practice").body
    bram = school_class["children"][1]
    2.times do |day|
      allow(Time).to receive(:now).and_return(Time.at((Date.today - 2 + day).to_time.to_i + 36_000).utc)
      check = make_check(school_class, step: "half_past", count: 8)
      check["items"].each { |item| answer(check, bram, item, item["right"]) }
    end
    allow(Time).to receive(:now).and_call_original
    steps = school_class["children"].first(2).map do |child|
      seated(own["id"], child)
      get("/api/desks/#{own['id']}").body["children"].find { |row| row["child_id"] == child["id"] }["step"]
    end
    expect(steps).to eq(%w[hour_hand quarter_past])
  end

  describe "for a lesson" do
    it "give all the times of a stage, in order, and tell of each answer" do
      at = opened(kind: "stage", lesson_id: lesson["id"], stage: "alone").body
      times = lesson["stages"].find { |stage| stage["id"] == "alone" }["items"].filter_map { |item| item["time"] }.uniq
      check = get("/api/checks/#{at['check_id']}").body
      expect(check["items"].map { |item| item["time"] }).to eq(times)
      first = as(seated(at["id"], child)) { get("/api/desk/state").body }
      expect(first).to include("kind" => "stage", "told" => true, "round" => include("of" => times.length))
      expect(first["ahead"].length).to eq(times.length - 1)
    end

    it "give the exit as a check, silently, and its answers are the check's as if typed from paper" do
      at = opened(kind: "exit", lesson_id: lesson["id"]).body
      seat = seated(at["id"], child)
      as(seat) do
        loop do
          turn = state_of["turn"] or break
          told = send_answers(turn, ["quarter to one"], who: seat).body
          expect(told).to include("done" => true, "sentence" => "Saved. Keep going!", "help" => nil)
          expect(told["results"].first).to include("right" => nil, "verdict" => nil)
        end
        expect(state_of["end"]).to include("watch" => nil)
      end
      check = get("/api/checks/#{at['check_id']}").body
      expect(check).to include("desk" => { "id" => at["id"], "kind" => "exit" })
      expect(check["answers"].length).to eq(check["items"].length)
      typed = post("/api/checks/#{check['id']}/answers", { id: SecureRandom.uuid, item_id: check["items"].first["id"],
                                                           child_id: school_class["children"].last["id"], answer: "quarter to one" }).body
      at_desk = check["answers"].find { |answer| answer["item_id"] == check["items"].first["id"] }
      expect(typed.slice("verdict", "read_as", "misreadings")).to eq(at_desk.slice("verdict", "read_as", "misreadings"))
    end

    it "ask in the exit whatever the lesson is about, also what slips cannot" do
      hours = post("/api/classes/#{school_class['id']}/lessons", { day: "2026-03-03", step: "hour_hand", minutes: 30, seed: 1 }).body
      expect(post("/api/lessons/#{hours['id']}/check", {})).to be_refused(422).at("task").saying(/Use devices/)
      at = opened(kind: "exit", lesson_id: hours["id"]).body
      turn = as(seated(at["id"], child)) { get("/api/desk/state").body["turn"] }
      expect(turn).to include("entry" => "hour", "sees" => "hour_hand")
      expect(plain("/api/checks/#{at['check_id']}/sheet.pdf").status).to be < 500
    end

    it "say what is missing, where it belongs" do
      expect(opened(kind: "stage", lesson_id: lesson["id"], stage: "look")).to be_refused(422).at("stage").saying(/Choose a part/)
      expect(opened(kind: "stage")).to be_refused(422).at("lesson_id")
      expect(opened(kind: "exit")).to be_refused(422).at("lesson_id")
      expect(opened(kind: "practice", child_ids: [])).to be_refused(422).at("child_ids").saying(/at least one/)
      expect(opened(kind: "practice", child_ids: [999])).to be_refused(404).at("child_ids")
      expect(opened(kind: "practice", step: "moons")).to be_refused(422).at("step")
      others = make_check(make_class(%w[Ida]))
      expect(opened(kind: "exit", check_id: others["id"])).to be_refused(404).at("check_id")
      expect(opened(kind: "exit", check_id: 9999)).to be_refused(404).at("check_id")
    end
  end

  describe "while children answer" do
    it "show who is there and where each is, with answers as they arrive" do
      turn = state["turn"]
      expect(live).to include("joined" => true, "here" => true, "done" => 0, "stuck" => nil)
      expect(live["asked"]).to include("task" => "dial_to_words", "second" => false)
      expect(live(school_class["children"].last)).to include("joined" => false, "here" => false, "asked" => nil)
      send_answers(turn, right(turn))
      expect(live).to include("done" => 1, "right" => 1, "given" => 1, "step" => "quarters")
      expect(live["answers"].first).to include("verdict" => "right", "answer" => right(turn).first, "read_as" => right(turn).first)
    end

    it "show an exit that one child answered on paper and another at a desk, also where it is opened twice" do
      id = lesson["id"]
      check = post("/api/lessons/#{id}/check", {}).body["check_id"]
      items = get("/api/checks/#{check}").body["items"]
      other = school_class["children"].last
      answer({ "id" => check }, other, items.first, "quarter to one")
      2.times do
        at = opened(kind: "exit", lesson_id: id).body
        turn = as(seated(at["id"], child)) { state_of["turn"] }
        send_answers(turn, ["quarter to one"], who: seated(at["id"], child)) if turn
        shown = get("/api/desks/#{at['id']}")
        expect(shown.status).to eq(200)
        expect(shown.body["children"].map { |child| child["given"] }).to eq([shown.body["children"].first["given"], 0, 1])
        seated(at["id"], other)
        expect(get("/api/desks/#{at['id']}").status).to eq(200)
      end
    end

    it "ask the database for no more where thousands of answers were given than where there are few" do
      queries = Hash.new(0)
      look = lambda do |name|
        logger = Object.new.tap do |one|
          %i[debug info warn error].each do |level|
            one.define_singleton_method(level) do |_|
              queries[name] += 1
            end
          end
        end
        store.db.loggers << logger
        live
        store.db.loggers.clear
      end
      state
      look[:few]
      rows = Array.new(2000) { |at| { check_id: desk["check_id"], position: 1000 + at, time: "7:45", child_id: child["id"] } }
      store.db[:items].multi_insert(rows)
      ids = store.db[:items].where { position >= 1000 }.select_map(:id)
      kept = { child_id: child["id"], answer: "7:45", verdict: "right", misreadings: "", read_as: "", read_short: "", slips: "",
               answered_at: "2026-01-01T00:00:00Z" }
      store.db[:answers].multi_insert(ids.map { |item_id| { uuid: SecureRandom.uuid, item_id:, **kept } })
      look[:many]
      expect(queries[:many]).to eq(queries[:few])
      expect(live).to include("given" => 2000, "right" => 2000, "answers" => have_attributes(length: 10))
    end

    it "show hands as they were set, beside what was asked" do
      check = store.checks.add(class_id: school_class["id"], step: "quarters", task: "digital_to_dial", times: ["7:45"],
                               made_at: "2026-03-02T10:00:00Z")
      at = opened(kind: "exit", check_id: check[:id]).body
      who = seated(at["id"], child)
      turn = as(who) { state_of["turn"] }
      send_answers(turn, ["hour=240 minute=270"], who:)
      shown = get("/api/desks/#{at['id']}").body["children"].first["answers"].first
      expect(shown).to include("time" => "7:45", "hands" => { "hour_hand_degrees" => 240.0, "minute_hand_degrees" => 270.0 })
    end

    it "mark who is stuck: two tasks wrong in a row, or no answer for a minute" do
      2.times { 2.times { state["turn"].then { |turn| send_answers(turn, turn["items"].map { "25" }) } } }
      expect(live).to include("stuck" => "running")
      allow(Time).to receive(:now).and_return(Time.now + 61)
      other = school_class["children"].last
      seat_of_other = seated(desk["id"], other)
      as(seat_of_other) { get("/api/desk/state") }
      expect(live(other)["stuck"]).to be_nil
      allow(Time).to receive(:now).and_return(Time.now + 61)
      as(seat_of_other) { get("/api/desk/state") }
      expect(live(other)["stuck"]).to eq("quiet")
    end

    it "show a device that is not heard of any more as away" do
      state
      allow(Time).to receive(:now).and_return(Time.now + 26)
      expect(live).to include("here" => false, "stuck" => nil)
    end

    it "make one record with paper: the check, what it tells, the class and the child's own record" do
      4.times { state["turn"].then { |turn| send_answers(turn, right(turn)) } }
      asked = store.db[:answers].count
      expect(get("/api/checks/#{desk['check_id']}").body["answers"].length).to eq(asked)
      expect(get("/api/checks/#{desk['check_id']}/findings").status).to eq(200)
      record = get("/api/classes/#{school_class['id']}/children/#{child['id']}/record").body
      expect(record["answers"].length).to eq(asked)
      expect(plain("/api/checks/#{desk['check_id']}/answers.csv").status).to eq(200)
      expect(plain("/api/checks/#{desk['check_id']}/sheet.pdf").status).to be < 500
    end
  end

  def state_of = get("/api/desk/state").body
end
