# frozen_string_literal: true

RSpec.describe Vantick::Server::Plan::Lessons do
  let(:school_class) { make_class }
  let(:address) { "/api/classes/#{school_class['id']}" }

  def plan(**how) = post("#{address}/lessons", { day: "2026-12-01", step: "fives_to", minutes: 40, seed: 4, **how })

  def times(lesson, stage) = stage_of(lesson, stage)["items"].filter_map { |item| item["time"] }

  def stage_of(lesson, stage) = lesson["stages"].find { |one| one["id"] == stage }

  # The plan as a page sends it back: all times as they stand, but for what is changed.
  # A lesson as its page would settle it.
  def settled(lesson, **changes)
    kept = lesson["stages"].to_h { |stage| [stage["id"], stage["items"].filter_map { |item| item["time"] }] }
    { stage_minutes: {}, kept:, **lesson.slice("day", "step", "task", "minutes", "seed", "method", "pinned", "swapped", "opening")
                                        .transform_keys(&:to_sym), **changes }
  end

  def change(lesson, **changes) = put("/api/lessons/#{lesson['id']}", settled(lesson, **changes))

  it "are planned in six stages that fill the time, no time twice, and kept" do
    lesson = plan.body
    expect(lesson["stages"].map { |stage| stage["id"] }).to eq(%w[warm_up recap show together alone exit])
    expect(lesson["stages"].sum { |stage| stage["minutes"] }).to eq(40)
    all = lesson["stages"].flat_map { |stage| times(lesson, stage["id"]) }
    expect(all.uniq).to eq(all)
    expect(lesson["method_lines"]).to include('With "to": count back from the 12.')
    expect(get("/api/lessons/#{lesson['id']}").body).to eq(lesson)
    expect(get("#{address}/lessons").body["lessons"].first).to include("id" => lesson["id"], "step" => "fives_to", "minutes" => 40)
  end

  it "say which stages have clocks of their own, and which of them lie on paper" do
    of = ->(what) { plan.body["stages"].select { |stage| stage[what] }.map { |stage| stage["id"] } }
    expect({ fresh: of["fresh"], on_paper: of["on_paper"] }).to eq(fresh: %w[show together alone], on_paper: %w[alone exit])
  end

  it "keep their times when the length changes, and say what no longer fits" do
    lesson = plan.body
    shorter = change(lesson, minutes: 25).body
    expect(times(shorter, "alone")).to eq(times(lesson, "alone").first(times(shorter, "alone").length))
    expect(stage_of(shorter, "alone")["left_out"]).to eq(times(lesson, "alone") - times(shorter, "alone"))
    longer = change(lesson, minutes: 60).body
    expect(times(longer, "show").first(times(lesson, "show").length)).to eq(times(lesson, "show"))
  end

  def written(lesson) = stage_of(lesson, "alone")["items"].find { |item| item["time"] }

  it "take the pace of the lessons that were given, and keep it" do
    lesson = plan.body
    alone = written(lesson)
    took = Array.new(20) { { kind: alone["kind"], seconds: alone["seconds"] * 2 } }
    post("/api/lessons/#{lesson['id']}/runs", { left_out: [], seconds: took })
    slower = plan(day: "2026-12-02", task: lesson["task"]).body
    expect(written(slower)["seconds"]).to eq(alone["seconds"] * 2)
    expect(times(slower, "alone").length).to be <= (times(lesson, "alone").length / 2) + 1
    expect(get("/api/lessons/#{lesson['id']}").body["stages"]).to eq(lesson["stages"])
    expect(written(change(slower, minutes: 30).body)["seconds"]).to eq(alone["seconds"] * 2)
    expect(post("/api/lessons/#{lesson['id']}/runs", { left_out: [], seconds: [{ kind: "x", seconds: 0 }] }).status).to eq(400)
  end

  it "swap a time for another, in its place" do
    lesson = plan.body
    before = times(lesson, "exit")
    kept = settled(lesson)[:kept]
    after = times(change(lesson, kept: { **kept, "exit" => [before[0], nil, *before[2..]] }, swapped: [before[1]]).body, "exit")
    expect(after.values_at(0, 2)).to eq(before.values_at(0, 2))
    expect(after[1]).not_to eq(before[1])
  end

  it "take a typed time, also one the step does not have, and refuse one that stands there already" do
    lesson = plan.body
    kept = settled(lesson)[:kept]
    typed = change(lesson, kept: { **kept, "exit" => ["4:49", *kept["exit"].drop(1)] }).body
    expect(stage_of(typed, "exit")["items"].find { |item| item["time"] }).to include("time" => "4:49", "from_step" => "Minutes to",
                                                                                     "answer" => "eleven minutes to five")
    twice = change(lesson, kept: { **kept, "exit" => [kept["show"].first, *kept["exit"].drop(1)] })
    expect(twice).to be_refused(422).saying(/#{kept['show'].first}/).at("time")
    expect(change(lesson, kept: { **kept, "exit" => ["4:99"] })).to be_refused(422).at("time")
  end

  it "move minutes between stages, and refuse what does not fill the lesson" do
    lesson = plan.body
    minutes = lesson["stages"].to_h { |stage| [stage["id"], stage["minutes"]] }
    moved = change(lesson, stage_minutes: { **minutes, "show" => minutes["show"] + 2, "alone" => minutes["alone"] - 2 }).body
    expect(stage_of(moved, "show")["minutes"]).to eq(minutes["show"] + 2)
    expect(change(lesson, stage_minutes: { **minutes, "show" => 30 })).to be_refused(422).at("stage_minutes").saying(/The lesson has 40/)
    expect(change(lesson, minutes: 4)).to be_refused(422).at("minutes").saying(/5 to 75/)
  end

  it "follow the class's method, or one of their own" do
    put("#{address}/conventions", { conventions: { counting_to: "sixty_minus" } })
    lesson = plan.body
    expect(lesson["method_lines"].join).to include("take the minutes from 60")
    expect(change(lesson, method: { counting_to: "back" }).body["method_lines"].join).to include("count back from the 12")
  end

  it "refuse a change made from an older state, clearly, and keep what is there" do
    lesson = plan.body
    changed = change(lesson, minutes: 30, version: lesson["version"]).body
    expect(changed).to include("minutes" => 30, "version" => lesson["version"] + 1)
    expect(change(lesson, minutes: 50, version: lesson["version"])).to be_refused(409).at("version").saying(/another window/)
    expect(get("/api/lessons/#{lesson['id']}").body["minutes"]).to eq(30)
    expect(change(changed, minutes: 50, version: changed["version"]).body["minutes"]).to eq(50)
  end

  it "are copied once to a day: the second press finds the copy" do
    lesson = plan.body
    copies = Array.new(2) { post("/api/lessons/#{lesson['id']}/copies", { day: "2026-12-08", seed: 9 }) }
    expect(copies.map(&:status)).to eq([201, 200])
    expect(copies.map { |copy| copy.body["id"] }.uniq.length).to eq(1)
    expect(post("/api/lessons/#{lesson['id']}/copies", { day: "2026-12-09", seed: 9 }).status).to eq(201)
  end

  it "are copied to another day: pinned times stay where they stood, all others are new" do
    lesson = plan(step: "minutes").body
    pinned = times(lesson, "exit")[2]
    lesson = change(lesson, pinned: { exit: [pinned] }).body
    copy = post("/api/lessons/#{lesson['id']}/copies", { day: "2026-12-08", seed: 9 }).body
    expect(copy).to include("day" => "2026-12-08", "minutes" => 40, "pinned" => { "exit" => [pinned] })
    expect(times(copy, "exit") & times(lesson, "exit")).to eq([pinned])
    expect(times(copy, "exit")[2]).to eq(pinned)
    expect(copy["id"]).not_to eq(lesson["id"])
  end

  it "bring what was left out into the next recap" do
    lesson = plan.body
    left = times(lesson, "alone").last(2)
    expect(post("/api/lessons/#{lesson['id']}/runs", { left_out: left }).body).to include("left_out" => left)
    following = plan(seed: 5).body
    expect(following["carried"]).to eq(left)
    expect(times(following, "recap").first(2)).to eq(left)
  end

  it "say how children work, what that needs and what to ask, and take another way" do
    lesson = plan.body
    kinds = get("/api/catalogue").body["kinds"].to_h { |kind| [kind["id"], kind] }
    ways = lesson["stages"].map { |stage| kinds.fetch(stage["activity"]) }
    expect(ways.map { |way| way["say"] }).to all(match(/\w+\./))
    expect(ways.flat_map { |way| way["needs"] }.uniq).to match_array(lesson["needs"])
    expect(lesson["hinges"].map { |hinge| [hinge["before"], hinge["wrong"].length] }).to eq([["together", 3], ["alone", 3]])
    other = (stage_of(lesson, "together")["choices"] - [stage_of(lesson, "together")["activity"]]).first
    changed = change(lesson, activities: { together: other }).body
    expect([stage_of(changed, "together")["activity"], changed["activities"]]).to eq([other, { "together" => other }])
    expect(change(changed, activities: { together: "nap" })).to be_refused(422).at("activities")
  end

  it "are short ones of five minutes, which have no exit check" do
    short = plan(minutes: 5).body
    expect(short["stages"].to_h { |stage| [stage["id"], stage["items"].count { |item| item["time"] }] })
      .to eq({ "recap" => 4, "together" => 2 })
    expect(post("/api/lessons/#{short['id']}/check", {})).to be_refused(422).at("stage_minutes").saying(/no exit check/)
    whole = change(short, minutes: 40).body
    expect(whole["stages"].length).to eq(6)
    expect(change(whole, minutes: 5).body["stages"].map { |stage| stage["id"] }).to eq(%w[recap together])
  end

  it "open their exit as a check, once" do
    lesson = plan.body
    first = post("/api/lessons/#{lesson['id']}/check", {})
    again = post("/api/lessons/#{lesson['id']}/check", {})
    expect([first.status, again.status]).to eq([201, 200])
    check = get("/api/checks/#{first.body['check_id']}").body
    expect(check["items"].map { |item| item["time"] }).to eq(times(lesson, "exit"))
    halves = plan(step: "day_halves").body
    expect(stage_of(halves, "exit")["items"].last).to include("sees" => "time_of_day", "answer" => match(/m\.|noon|midnight/))
    expect(post("/api/lessons/#{halves['id']}/check", {})).to be_refused(422).at("task")
  end

  it "is found by its step and the month of its day" do
    first, second = [%w[quarters 2026-03-31], %w[half_past 2026-04-01]].map { |step, day| plan(step:, day:).body["id"] }
    list = ->(query) { get("/api/classes/#{school_class['id']}/lessons?#{query}").body["lessons"].map { |lesson| lesson["id"] } }
    expect([list[""], list["step=quarters"], list["month=2026-04"], list["step=quarters&month=2026-04"]])
      .to eq([[second, first], [first], [second], []])
  end

  it "can be planned for every step there is a time for, and put away" do
    Vantick::Core::Curriculum::Step.with_times.each do |step|
      made = plan(step: step.id, minutes: 20)
      expect(made.status).to eq(201), step.id.to_s
      expect(delete("/api/lessons/#{made.body['id']}").body).to include("kind" => "lesson", "about" => include("step" => step.id.to_s))
      expect(get("/api/lessons/#{made.body['id']}")).to be_refused(404).at("lesson_id")
    end
  end

  {
    "no step" => [{ step: "sevens" }, 422, "step"], "a step without times" => [{ step: "hands" }, 422, "step"],
    "a task that is not the step's" => [{ task: "day_half" }, 422, "task"], "a long lesson" => [{ minutes: 76 }, 422, "minutes"],
    "a day that is none" => [{ day: "tomorrow" }, 400, "day"]
  }.each { |what, (how, status, field)| it("refuse #{what}") { expect(plan(**how)).to be_refused(status).at(field) } }

  it "show where the class stands, and what is next" do
    expect(get("#{address}/ladder").body).to include("next" => include("step" => "hour_hand", "reason" => "begin", "lesson" => 1,
                                                                       "days" => nil))
    check = make_check(school_class)
    check["items"].each { |item| answer(check, check["children"].first, item, "6:17") }
    ladder = get("#{address}/ladder").body
    expect(ladder["steps"].find { |step| step["id"] == "quarters" }).to include("learning" => 1, "not_yet" => 1, "stumbling" => 1)
    first = check["children"].first["id"]
    expect(ladder["children"].find { |child| child["child_id"] == first }["stumbles"]).to include("quarters")
    expect(ladder["next"]).to include("step" => "hour_hand", "not_yet" => 2, "reason" => "new", "stumbling" => [])
  end

  describe "the ladder" do
    it "is worked out once for what it depends on, and is there at once after a start; the worker makes that of a new day" do
      before = get("/api/classes/#{school_class['id']}/ladder").body
      allow(Vantick::Server::Store::ProgressCache).to receive(:of).and_call_original
      Vantick::Server.make_ready(store)
      expect(get("/api/classes/#{school_class['id']}/ladder").body).to eq(before)
      expect(Vantick::Server::Store::ProgressCache).not_to have_received(:of)
      Vantick::Server::Clock.set(Time.now + 86_400)
      Vantick::Server.make_ready(store)
      expect(Vantick::Server::Store::ProgressCache).to have_received(:of).once
      get("/api/classes/#{school_class['id']}/ladder")
      expect(Vantick::Server::Store::ProgressCache).to have_received(:of).once
    ensure
      Vantick::Server::Clock.set(nil)
    end

    it "is another as soon as an answer, a ruling, a child, a lesson or the class's words are others" do
      id = school_class["id"]
      key = -> { Vantick::Server::Store::ProgressCache.key("ladder", store.classes.find(id), store, today: 1) }
      check = make_check(school_class)
      uuid = SecureRandom.uuid
      keys = [key.call]
      [-> { answer(check, school_class["children"].first, check["items"].first, "x", id: uuid) },
       -> { post("/api/answers/#{uuid}/overrides", { verdict: "right" }) }, -> { post("/api/classes/#{id}/children", { names: ["Una"] }) },
       -> { put("/api/classes/#{id}/conventions", { conventions: { to_word: "of" } }) },
       -> { delete("/api/checks/#{check['id']}") }].each do |change|
        change.call
        keys << key.call
      end
      expect(keys.uniq.length).to eq(keys.length)
    end
  end
end
