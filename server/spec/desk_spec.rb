# frozen_string_literal: true

RSpec.describe "A child at a desk" do
  include DeskHelpers

  it "joins with the class code, a name and three pictures; spaces and small letters do no harm" do
    door = as("") { post("/api/desk/doors", { code: " #{desk['code'].downcase} " }).body }
    expect(door).to include("class_name" => "Curlew", "children" => school_class["children"])
    expect(door["pictures"]).to include(*pictures_of(child))
    joined = join(pictures_of(child))
    expect(joined).to have_attributes(status: 201, body: { "child" => child })
    expect(joined.headers["set-cookie"]).to match(/HttpOnly/i).and match(/SameSite=Strict/i).and match(%r{path=/api/desk}i)
    expect(state).to include("child" => child, "kind" => "practice", "told" => true, "open" => true)
  end

  it "is not let in with somebody else's pictures; after five tries the card rests at that device, for the right ones too" do
    mine = pictures_of(child)
    wrong = pictures_of(school_class["children"].last)
    5.times { expect(join(wrong)).to be_refused(422).at("pictures").saying(/aren't your pictures/) }
    expect(live).to include("wrong_tries" => 5)
    rests = join(mine)
    expect(rests).to be_refused(429).at("pictures").saying(/Wait 2 minutes, or ask your teacher/)
    expect(rests.headers["retry-after"].to_i).to be_between(110, 120)
    expect(join(mine, "REMOTE_ADDR" => "10.0.0.7").status).to eq(201)
    expect(live).to include("wrong_tries" => 0)
  end

  it "may go on at once where the teacher showed the pictures" do
    mine = pictures_of(child)
    wrong = mine.reverse
    5.times { join(wrong) }
    expect(join(mine).status).to eq(429)
    pictures_of(child)
    expect(live).to include("wrong_tries" => 0)
    expect(join(mine).status).to eq(201)
  end

  it "is sent away by the teacher, or by other pictures, wherever it sits" do
    other = desk_of(school_class)
    seats = [seat, seated(other["id"], child)]
    away = post("/api/desks/#{desk['id']}/children/#{child['id']}/leaving", {})
    expect(away.body).to eq("left" => true)
    expect(seats.map { |seat| as(seat) { get("/api/desk/state").status } }).to eq([401, 200])
    post("/api/classes/#{school_class['id']}/children/#{child['id']}/keys", {})
    expect(as(seats.last) { get("/api/desk/state") }).to be_refused(401)
    nobody = school_class["children"].last
    expect(post("/api/desks/#{desk['id']}/children/#{nobody['id']}/leaving", {}).body).to eq("left" => false)
  end

  it "tells the teacher of answers that a device had to let go" do
    2.times { as(seat) { post("/api/desk/lost-answers", { answers: 2 }) } }
    expect(live).to include("lost" => 4)
  end

  it "is shown no hand whose setting or reading is the answer" do
    items = Hash.new { |all, sees| all[sees] = [] }
    see = ->(turn) { items[turn["sees"]].concat(turn["items"]) }
    went(10, &see)
    as(seat) { post("/api/desk/rounds", {}) }
    went(10, &see)
    none = items.transform_values { |some| some.map { |item| item.values_at("hour_hand_degrees", "minute_hand_degrees").map(&:nil?) }.uniq }
    expect(none).to include("words" => [[true, true]], "digits" => [[true, true]], "dial" => [[false, false]])
  end

  it "gets other pictures from the teacher, and the old ones open nothing" do
    old = pictures_of(child)
    fresh = post("/api/classes/#{school_class['id']}/children/#{child['id']}/keys", {}).body["pictures"]
    expect(pictures_of(child)).to eq(fresh)
    expect(join(old)).to be_refused(422).at("pictures")
    expect(join(fresh).status).to eq(201)
  end

  it "has pictures that nobody else of the class has" do
    crowd = make_class(Array.new(32) { |number| "Child #{number}" })
    keys = get("/api/classes/#{crowd['id']}/keys").body["keys"]
    expect(keys.map { |key| key["pictures"] }.uniq.length).to eq(32)
    expect(keys.map { |key| key["pictures"].uniq.length }).to all(eq(3))
  end

  it "finds the door shut once the desk is closed or two hours old, and with a code there is not" do
    shut = /There is no open session/
    expect(as("") { post("/api/desk/doors", { code: "NNNNN" }) }).to be_refused(404).at("code").saying(shut)
    store.db[:desks].update(expires_at: (Time.now.utc - 1).iso8601)
    expect(as("") { post("/api/desk/doors", { code: desk["code"] }) }).to be_refused(404).at("code")
    other = desk_of(school_class)
    post("/api/desks/#{other['id']}/closing", {})
    expect(as("") { post("/api/desk/doors", { code: other["code"] }) }).to be_refused(404).at("code").saying(shut)
  end

  it "is not found by guessing: codes and pictures are slowed down, by the device that guesses" do
    allow(Time).to receive(:now).and_return(Time.now) # or a new minute may begin in the middle
    limits = Vantick::Server::Http::Throttle::LIMITS
    guess = { "/api/desk/doors" => { code: "NNNNN" }, "/api/desk/seats" => { code: "NNNNN", child_id: 1, pictures: %w[sun sun sun] } }
    guess.each do |path, body|
      as("") { limits.fetch(path).times { post(path, body) } }
      expect(as("") { post(path, body) }).to be_refused(429).at(nil).saying(/Wait a minute/)
    end
    elsewhere = app.post("/api/desk/doors", "REMOTE_ADDR" => "10.0.0.9", "CONTENT_TYPE" => "application/json",
                                            input: JSON.generate(code: desk["code"]))
    expect(elsewhere.status).to eq(200)
  end

  it "takes JSON alone, from its own pages alone" do
    text = as("") { post("/api/desk/doors", "code=#{desk['code']}", type: "application/x-www-form-urlencoded") }
    expect(text).to be_refused(415).at(nil).saying(/Send JSON/)
    foreign = as("") { post("/api/desk/doors", { code: desk["code"] }, "HTTP_ORIGIN" => "http://elsewhere.example") }
    expect(foreign).to be_refused(403).at(nil).saying(/another site/)
  end

  it "goes on at a new device where it was; the old device is out" do
    first = state["turn"]
    old = seat
    expect(as(seated(desk["id"], child)) { get("/api/desk/state").body["turn"]["id"] }).to eq(first["id"])
    expect(as(old) { get("/api/desk/state") }).to be_refused(401).saying(/another device/)
  end

  it "is told whether anybody sits there, and why not any more, without a refusal" do
    told = ->(who) { as(who) { get("/api/desk/seat") }.then { |answer| [answer.status, *answer.body.values] } }
    mine = seat
    expect([told[""], told["vantick.desk=nothing"], told[mine]]).to eq([[200, false, nil], [200, false, nil], [200, true, nil]])
    seated(desk["id"], child)
    expect(told[mine]).to match([200, false, /another device/])
  end

  it "is told that the teacher ended the seat" do
    mine = seat
    post("/api/desks/#{desk['id']}/children/#{child['id']}/leaving", {})
    expect(as(mine) { get("/api/desk/state") }).to be_refused(401).saying(/teacher signed you out/)
  end

  it "leaves, and the key of the device opens nothing more" do
    expect(as(seat) { post("/api/desk/leaving", {}).body }).to eq("left" => true)
    expect(as(seat) { get("/api/desk/state") }).to be_refused(401).saying(/Join with the class code/)
  end

  describe "with tasks" do
    it "gets everything that a device needs to ask them, and some for when the network is away" do
      turn = state["turn"]
      expect(turn).to include("task" => "dial_to_words", "entry" => "words", "ask" => "What time is it?", "sees" => "dial")
      expect(turn["strips"].map { |strip| strip["part"] }).to eq(%w[count side hour])
      expect(turn["strips"].flat_map { |strip| strip["words"] }).to include("seven", "quarter", "past", "to")
      expect(state["ahead"].length).to eq(4)
      expect(state["ahead_ids"]).to eq(state["ahead"].map { |one| one["id"] })
      held = send_answers(turn, ["no idea"], held: state["ahead_ids"]).body
      expect(held).to include("ahead" => [], "ahead_ids" => state["ahead_ids"])
    end

    it "hears that an answer is right, and the next task comes" do
      turn = state["turn"]
      told = send_answers(turn, right(turn)).body
      expect(told).to include("turn_id" => turn["id"], "done" => true, "help" => nil)
      expect(told["sentence"]).to start_with("Yes: ")
      expect(told["results"]).to eq(["item_id" => turn["items"].first["id"], "right" => true, "verdict" => "right"])
      expect(told["round"]).to include("done" => 1, "of" => 10, "over" => false)
      expect(told["turn"]["id"]).not_to eq(turn["id"])
    end

    it "is told one thing after a wrong answer, tries once more, and is then shown the steps" do
      turn = state["turn"]
      told = send_answers(turn, ["five past one"]).body
      expect(told).to include("done" => false, "help" => nil)
      expect(told["turn"]).to include("id" => turn["id"], "tried" => 1)
      shown = send_answers(turn, ["ten past one"]).body
      expect(shown["done"]).to be(true)
      expect(shown["help"]["steps"].length).to be > 2
      expect(shown["help"]["steps"].first["lights"]).not_to be_empty
    end

    it "can be shown a task instead of answering it: it is done, no mistake, and the next one comes" do
      turn = state["turn"]
      shown = as(seat) { post("/api/desk/hints", { turn_id: turn["id"] }) }
      expect(shown.status).to eq(200)
      expect(shown.body).to include("turn_id" => turn["id"], "done" => true, "results" => [], "sentence" => "")
      expect(shown.body["help"]["steps"].last["sentence"]).to start_with("It is ")
      expect(shown.body["round"]).to include("done" => 1)
      expect(shown.body["turn"]["id"]).not_to eq(turn["id"])
      expect(store.db[:answers].count).to eq(0)
      expect(as(seat) { post("/api/desk/hints", { turn_id: turn["id"] }) }).to be_refused(409).at("turn_id")
      expect(send_answers(turn, ["one"])).to be_refused(409).at("turn_id")
      expect(live).to include("done" => 1, "given" => 0)
      went(9) { nil }
      expect(state["end"]["well"]).to be_a(String)
    end

    it "has help on the clock where a step is new to them, until two were right; right answers there count for less" do
      own = desk_of(school_class, step: "fives_to")
      one = seated(own["id"], child)
      turns = Array.new(5) do
        turn = as(one) { get("/api/desk/state") }.body["turn"]
        send_answers(turn, right(turn), who: one)
        turn
      end
      helped = turns.map { |turn| turn["items"].first["on_clock"] }
      expect(helped.first).to include("hour_gap" => be_between(1, 12), "minute_numbers" => "both_sides", "sides" => %w[to past])
      expect(helped.compact.length).to be_between(1, 2)
      expect(helped.last(2)).to eq([nil, nil])
      rows = store.db[:answers].join(:items, id: :item_id).where(Sequel[:answers][:child_id] => child["id"])
      expect(rows.exclude(helped: nil).count).to eq(helped.compact.length)
    end

    it "is shown nothing where it is to be found out what they know" do
      check = make_check(school_class)
      exit_desk = post("/api/classes/#{school_class['id']}/desks", { kind: "exit", check_id: check["id"] }).body
      one = seated(exit_desk["id"], child)
      turn = as(one) { get("/api/desk/state") }.body["turn"]
      expect(as(one) { post("/api/desk/hints", { turn_id: turn["id"] }) }).to be_refused(422).at("turn_id").saying(/by yourself/)
    end

    it "goes on to the next step when three are right, as far as the class was taught, and begins there once more" do
      post("/api/classes/#{school_class['id']}/lessons", { day: "2026-03-02", step: "quarter_past", minutes: 40, seed: 1 })
      own = desk_of(school_class, step: nil)
      one = seated(own["id"], child)
      first = store.db[:seats].reverse(:id).get(:step)
      6.times do
        turn = as(one) { get("/api/desk/state") }.body["turn"]
        send_answers(turn, right(turn), who: one)
      end
      steps = store.db[:turns].where(desk_id: own["id"]).exclude(done_at: nil).order(:id).select_map(:step)
      expect(steps.first).to eq(first)
      expect(steps.uniq.length).to be >= 2
    end

    it "counts the first try for the record, and keeps the second beside it" do
      turn = state["turn"]
      send_answers(turn, ["five past one"])
      send_answers(turn, right(turn))
      item = turn["items"].first
      kept = get("/api/checks/#{desk['check_id']}").body["answers"]
      expect(kept.map { |one| one.slice("item_id", "answer", "verdict") })
        .to eq(["item_id" => item["id"], "answer" => "five past one", "verdict" => kept.first["verdict"]])
      expect(live["answers"]).to match([include("item_id" => item["id"], "right" => false, "second" => "right")])
    end

    it "takes the same answers once, however often they are sent, and says the same again" do
      turn = state["turn"]
      id = SecureRandom.uuid
      told = Array.new(3) { send_answers(turn, ["five past one"], ids: [id]).body }
      expect(told.map { |one| one.slice("done", "sentence", "results") }.uniq.length).to eq(1)
      expect(store.db[:answers].count).to eq(1)
      expect(store.db[:tries].count).to eq(0)
      last = SecureRandom.uuid
      2.times { send_answers(turn, right(turn), ids: [last]) }
      expect([store.db[:answers].count, store.db[:tries].count]).to eq([1, 1])
    end

    it "refuses an id of another answer, answers to another task, and a task that is done" do
      first = state["turn"]
      id = SecureRandom.uuid
      told = send_answers(first, right(first), ids: [id]).body
      expect(send_answers(told["turn"], ["1:05"] * told["turn"]["items"].length, ids: [id])).to be_refused(409).at("id")
      expect(send_answers(first, ["ten past two"])).to be_refused(409).at("turn_id")
      mixed = { **told["turn"], "items" => first["items"] }
      expect(send_answers(mixed, ["ten past two"])).to be_refused(422).at("answers")
    end

    it "refuses another answer with the id of one that was acknowledged, at the first try and at the second" do
      turn = state["turn"]
      ids = Array.new(2) { SecureRandom.uuid }
      send_answers(turn, ["five past one"], ids: ids.first(1))
      expect(send_answers(turn, right(turn), ids: ids.first(1))).to be_refused(409).at("id").saying(/another answer/)
      send_answers(turn, ["ten past one"], ids: ids.last(1))
      expect(send_answers(turn, right(turn), ids: ids.last(1))).to be_refused(409).at("id")
      expect(store.db[:answers].select_map(:answer) + store.db[:tries].select_map(:answer)).to eq(["five past one", "ten past one"])
    end

    it "learns nothing from an answer that could not be stored" do
      turn = state["turn"]
      expected = state["ahead_ids"]
      allow(store.db).to receive(:transaction).and_raise(Sequel::DatabaseError)
      expect(send_answers(turn, right(turn)).status).to eq(500)
      allow(store.db).to receive(:transaction).and_call_original
      expect(state).to include("turn" => turn, "ahead_ids" => expected, "round" => include("done" => 0))
      told = send_answers(turn, right(turn))
      expect(told.status).to eq(200)
    end

    it "goes through all kinds of its step without the same time twice running" do
      entries = []
      times = []
      went(14) do |turn|
        entries << turn["entry"]
        times << store.db[:items].where(id: turn["items"].map { |item| item["id"] }).order(:id).select_map(:time)
      end
      expect(entries.uniq).to include("words", "hands", "digits", "pairs")
      expect(times.each_cons(2).select { |time, next_one| time == next_one }).to be_empty
    end

    it "keeps why each task came" do
      went(6) { nil }
      reasons = store.db[:turns].exclude(done_at: nil).select_map(:reason)
      expect(reasons - Vantick::Core::Desk::Turn::REASONS.map(&:to_s)).to be_empty
      expect(reasons).to include("tells")
    end

    it "ends after ten tasks with what went well, and begins again when asked" do
      went(10) { nil }
      expect(state).to include("turn" => nil, "round" => include("done" => 10, "over" => true))
      expect(state["end"]["well"]).to start_with("You got every one")
      again = as(seat) { post("/api/desk/rounds", {}).body }
      expect(again).to include("end" => nil, "round" => include("number" => 2, "done" => 0))
      expect(again["turn"]).not_to be_nil
    end

    it "ends after five minutes" do
      state
      store.db[:seats].update(round_began_at: (Time.now.utc - 301).iso8601)
      expect(state).to include("round" => include("over" => false))
      send_answers(state["turn"], ["no idea"], late: true)
      store.db[:turns].exclude(done_at: nil).update(done_at: (Time.now.utc - 301).iso8601)
      expect(state).to include("turn" => nil, "round" => include("over" => true))
      expect(state["end"]["well"]).to eq("Well tried.")
    end

    it "takes late what was answered while the network was away, each for the task it was given to" do
      ahead = state["ahead"]
      ahead.each { |turn| expect(send_answers(turn, right(turn), late: true).body).to include("turn_id" => turn["id"], "done" => true) }
      expect(state["round"]["done"]).to eq(4)
      expect(store.db[:answers].count).to eq(ahead.sum { |turn| turn["items"].length })
    end

    it "takes what was kept for a task of another desk, once the same child sits down again, and nobody else's" do
      kept = state["turn"]
      post("/api/desks/#{desk['id']}/closing", {})
      other = desk_of(school_class, step: "quarters")
      told = send_answers(kept, right(kept), late: true, who: seated(other["id"], child))
      expect(told.body).to include("turn_id" => kept["id"], "done" => true, "open" => true)
      expect(store.db[:turns].first(id: kept["id"])[:done_at]).not_to be_nil
      stranger = seated(other["id"], school_class["children"].last)
      expect(send_answers(kept, right(kept), late: true, who: stranger)).to be_refused(404).at("turn_id")
    end

    it "takes late answers after the desk was closed, but asks nothing more" do
      turn = state["turn"]
      post("/api/desks/#{desk['id']}/closing", {})
      told = send_answers(turn, right(turn), late: true)
      expect(told).to have_attributes(status: 200, body: include("turn" => nil, "open" => false))
      expect(told.body["end"]["well"]).not_to be_empty
      store.db[:desks].update(opened_at: (Time.now.utc - (13 * 3600)).iso8601)
      expect(as(seat) { get("/api/desk/state") }).to be_refused(401)
    end

    it "shows how it ended for ten minutes, and then nothing, while answers may still arrive" do
      turn = state["turn"]
      post("/api/desks/#{desk['id']}/closing", {})
      expect(as(seat) { get("/api/desk/record").status }).to eq(200)
      store.db[:desks].update(closed_at: (Time.now.utc - 601).iso8601)
      expect(as(seat) { get("/api/desk/state") }).to be_refused(401)
      expect(as(seat) { get("/api/desk/record") }).to be_refused(401)
      expect(send_answers(turn, right(turn), late: true).status).to eq(200)
    end

    it "sees the dials it can read, and nobody else's" do
      turn = state["turn"]
      send_answers(turn, right(turn))
      expect(as(seat) { get("/api/desk/record").body["dials"] }).to match([include("words" => right(turn).first)])
      other = seated(desk["id"], school_class["children"].last)
      expect(as(other) { get("/api/desk/record").body }).to eq("dials" => [])
      expect(send_answers(turn, ["x"], who: other)).to be_refused(404).at("turn_id")
    end

    it "goes on as if nothing had been when the server was started anew in the middle" do
      turns = Array.new(2) { state["turn"].tap { |turn| send_answers(turn, right(turn)) } }
      before = state
      @app = Rack::MockRequest.new(Vantick::Server.app(store:, web: folder))
      expect(state).to eq(before)
      told = send_answers(state["turn"], right(state["turn"])).body
      expect(told["round"]["done"]).to eq(turns.length + 1)
    end

    it "is asked in the class's own words" do
      put("/api/classes/#{school_class['id']}/conventions", { conventions: { to_word: "of" } })
      side = state["turn"]["strips"].find { |strip| strip["part"] == "side" }
      expect(side).to include("label" => '"past" or "of"', "words" => ["past", "of", "o'clock"], "after_hour" => ["o'clock"])
    end
  end

  it "answers as the contract says" do
    %w[/api/desk/state /api/desk/record].each do |path|
      expect(contract_errors("GET", path, as(seat) { plain(path).body })).to be_nil, path
    end
    turn = state["turn"]
    ["five past one", "ten past one"].each do |text|
      expect(contract_errors("POST", "/api/desk/answers", JSON.generate(send_answers(turn, [text]).body))).to be_nil
    end
    went(12) { |one| expect(contract_errors("GET", "/api/desk/state", JSON.generate(state))).to be_nil, one["entry"] }
  end
end
