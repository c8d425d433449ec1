# frozen_string_literal: true

RSpec.describe Vantick::Server::Plan::Terms do
  # A Wednesday on which the class has a lesson: what is planned differs from day to day of a week.
  before { Vantick::Server::Clock.set(Time.utc(2026, 11, 25, 10)) }
  after { Vantick::Server::Clock.set(nil) }

  let(:school_class) { make_class }
  let(:address) { "/api/classes/#{school_class['id']}/term" }
  let(:today) { Date.jd(Vantick::Server::Store::SchoolDay.today) }
  let(:monday) { today - ((today.wday - 1) % 7) }
  let(:settings) do
    { first_day: monday.iso8601, last_day: (monday + 83).iso8601, weekdays: { monday: 45, wednesday: 30, friday: 45 }, days_off: [],
      aim: "fives", aim_day: (monday + 80).iso8601 }
  end

  def set(**other) = put(address, { **settings, **other })

  def lessons(body) = body["plan"]["lessons"]

  def coming(body) = lessons(body).reject { |lesson| lesson["over"] }

  def change(kind, day, **more) = post("#{address}/changes", { kind:, day:, **more })

  it "is none at first, and planned at once when it is set" do
    expect(get(address).body).to include("term" => nil, "plan" => nil, "standards" => include("England year 2"))
    body = set.body
    expect(lessons(body).first["step"]).to eq("hour_hand")
    expect(coming(body).map { |lesson| Date.iso8601(lesson["day"]).wday }.uniq.sort).to eq([1, 3, 5])
    expect(body["aim"]).to eq("step" => "fives", "day" => settings[:aim_day])
    expect(get(address).body).to eq(body)
  end

  it "says what each lesson asks, and the lesson that is made of it asks that" do
    planned = coming(set.body).select { |lesson| lesson["step"] && lesson["task"] == "dial_to_digital" }
    expect(planned.length).to be >= 3
    day, step = planned.first.values_at("day", "step")
    made = post("/api/classes/#{school_class['id']}/lessons", { day:, step:, minutes: 40, seed: 1 }).body
    expect(made["task"]).to eq("dial_to_digital")
    chosen = post("/api/classes/#{school_class['id']}/lessons", { day:, step:, task: "dial_to_words", minutes: 40, seed: 1 }).body
    expect(chosen["task"]).to eq("dial_to_words")
  end

  it "keeps what was learned in short lessons, and takes none of them for a lesson on a step" do
    body = set(weekdays: { monday: 45, tuesday: 5, wednesday: 5, thursday: 5, friday: 5 }).body
    short = coming(body).select { |lesson| lesson["minutes"] == 5 && lesson["step"] }
    expect(short.map { |lesson| lesson["kind"] }.uniq).to eq(["short"])
    day, step = short.first.values_at("day", "step")
    made = post("/api/classes/#{school_class['id']}/lessons", { day:, step:, minutes: 5, seed: 1 })
    post("/api/lessons/#{made.body['id']}/runs", { left_out: [], seconds: [] })
    ladder = get("/api/classes/#{school_class['id']}/ladder").body
    expect(ladder["next"].values_at("reason", "lesson")).to eq(["begin", 1])
  end

  it "takes no short lesson that is over for one on a step, and a whole one for that" do
    next_lesson = lambda do |minutes|
      set(weekdays: %i[monday tuesday wednesday thursday friday saturday sunday].to_h { |day| [day, minutes] })
      Vantick::Server::Clock.set(Time.now + (3 * 86_400))
      get("/api/classes/#{school_class['id']}/ladder").body["next"].values_at("step", "reason")
    ensure
      Vantick::Server::Clock.set(nil)
    end
    expect(next_lesson.call(5)).to eq(%w[hour_hand begin])
    expect(next_lesson.call(45)).not_to eq(%w[hour_hand begin])
  end

  it "is refused in words, in the field where it belongs" do
    { { last_day: (monday - 1).iso8601 } => ["last_day", /before the first/], { weekdays: {} } => ["weekdays", /at least one lesson day/],
      { aim_day: (monday + 100).iso8601 } => ["aim_day", /outside the term/], { aim: "chess" } => ["step", /chess/],
      { days_off: [{ from: (monday + 3).iso8601, to: monday.iso8601, name: "" }] } => ["days_off", /Row 1 of the days off ends/],
      { last_day: (monday + 500).iso8601 } => ["last_day", /at most/] }
      .each do |wrong, (field, words)|
        expect(set(**wrong)).to be_refused(422).at(field).saying(words)
      end
    expect(get(address).body["term"]).to be_nil
    expect(change("skip", monday.iso8601).status).to eq(404)
  end

  it "has no lesson on days off, and says so where none is left" do
    expect(lessons(set(days_off: [{ from: monday.iso8601, to: (monday + 83).iso8601, name: "Flood" }]).body)).to eq([])
    told = worked("#{address}/forecast").body
    expect(told["aim"]).to include("likely" => 0)
    expect(worked("#{address}/suggestions").status).to eq(200)
  end

  it "takes a term that is over, and one that has not begun" do
    past = { first_day: (monday - 84).iso8601, last_day: (monday - 1).iso8601, aim_day: (monday - 2).iso8601 }
    expect(set(**past).body["plan"]).to include("lessons" => [])
    expect(worked("#{address}/forecast").body["points"].length).to eq(1)
    later = { first_day: (monday + 28).iso8601, last_day: (monday + 100).iso8601, aim_day: (monday + 90).iso8601 }
    expect(lessons(set(**later).body).first["day"]).to eq((monday + 28).iso8601)
  end

  it "moves a lesson, has the others move up, and puts the plan before back" do
    before = set.body
    from, to = coming(before).values_at(1, 4).map { |lesson| lesson["day"] }
    after = change("move", from, to:).body
    steps = ->(body) { coming(body).map { |lesson| lesson["step"] } }
    moved = steps[before].dup
    moved.insert(4, moved.delete_at(1))
    expect(steps[after].first(8)).to eq(moved.first(8))
    expect(lessons(after).find { |lesson| lesson["day"] == to }["settled"]).to eq("moved")
    expect(steps[post("#{address}/reverts", {}).body]).to eq(steps[before])
  end

  it "puts a plan back with the days and the aim it was made for, and compares nothing of another aim" do
    before = set.body
    worked("#{address}/forecast")
    thursday = (monday + 3).iso8601
    off = { from: monday.iso8601, to: (monday + 13).iso8601, name: "Illness" }
    other = set(aim: "quarters", days_off: [off], weekdays: { thursday: 30 }).body
    expect(other["plan"]).to include("can_put_back" => true, "change" => include("code" => "term_set", "lessons" => be_positive))
    expect(worked("#{address}/forecast").body["before"]).to be_nil
    back = post("#{address}/reverts", {}).body
    expect(back["term"]).to eq(before["term"])
    expect(back["aim"]).to eq(before["aim"])
    expect(lessons(back)).to eq(lessons(before))
    expect(lessons(back).map { |lesson| lesson["day"] }).not_to include(thursday)
    expect(get(address).body).to eq(back)
  end

  it "tells what a teacher changed, what else stands otherwise by it, and what was likely before for the same aim" do
    days = coming(set.body).map { |lesson| lesson["day"] }
    worked("#{address}/forecast")
    moved = change("move", days[1], to: days[4]).body["plan"]["change"]
    expect(moved).to include("code" => "move", "day" => days[1], "to" => days[4], "lessons" => be_between(0, 3))
    expect(worked("#{address}/forecast").body["before"]).to include("likely")
    skipped = change("skip", days[5]).body["plan"]["change"]
    expect(skipped).to include("code" => "skip", "day" => days[5], "to" => nil)
    worked("#{address}/forecast")
    set(days_off: [{ from: days[7], to: days[7], name: "" }])
    worked("#{address}/forecast")
    expect(worked("#{address}/forecast").body["before"]).to include("likely")
  end

  it "puts back no plan of an older file across new days, of which it does not know the days" do
    set
    set(weekdays: { thursday: 30 })
    store.db[:term_plans].update(settings: nil)
    expect(get(address).body["plan"]["can_put_back"]).to be(false)
    expect(post("#{address}/reverts", {}).body["term"]["weekdays"]).to eq("thursday" => 30)
  end

  it "pins, lets go, exchanges and sets lessons" do
    days = coming(set.body).map { |lesson| lesson["day"] }
    expect(change("pin", days[2]).status).to eq(201)
    expect(change("move", days[1], to: days[2])).to be_refused(422).at("to").saying(/pinned/)
    expect(change("unpin", days[2]).body["plan"]["lessons"].find { |lesson| lesson["day"] == days[2] }["settled"]).to be_nil
    before = get(address).body
    swapped = change("swap", days[1], to: days[3]).body
    steps = ->(body) { lessons(body).to_h { |lesson| lesson.values_at("day", "step") } }
    expect(steps[swapped].values_at(days[1], days[3])).to eq(steps[before].values_at(days[3], days[1]))
    expect(steps[change("set", days[5], step: "quarters").body][days[5]]).to eq("quarters")
    expect(change("set", days[5])).to be_refused(422).at("step").saying(/Choose a step/)
    expect(change("skip", (monday + 1).iso8601)).to be_refused(422).at("day").saying(/no lesson/i)
    expect(change("move", days[1], to: (monday + 1).iso8601)).to be_refused(422).at("to").saying(/no lesson/i)
  end

  it "plans a lost week anew, using lessons that were left open" do
    before = set.body
    days = coming(before).map { |lesson| lesson["day"] }.first(3)
    after = days.map { |day| change("skip", day).body }.last
    kinds = ->(body) { coming(body).map { |lesson| lesson["kind"] }.tally }
    expect(kinds[after]["skipped"]).to eq(3)
    expect(kinds[after]["open"]).to be < kinds[before]["open"]
    expect(kinds[change("hold", days.first).body]["skipped"]).to eq(2)
  end

  it "is made anew once more is known, says what changed, and can be put back; nothing moves today" do
    before = set.body
    check = make_check(school_class)
    item = check["items"]
    school_class["children"].each do |child|
      item.each { |one| answer(check, child, one, "nonsense") }
    end
    after = get(address).body
    expect(after["plan"]).to include("cause" => "answers", "can_put_back" => true)
    expect(after["plan"]["change"]).to include("code" => be_a(String), "children" => be_an(Integer))
    todays = ->(body) { lessons(body).select { |lesson| lesson["day"] <= today.iso8601 } }
    expect(todays[after]).to eq(todays[before])
    back = post("#{address}/reverts", {}).body
    expect(lessons(back)).to eq(lessons(before))
    expect(get(address).body).to eq(back)
  end

  it "says how likely it holds, before a change and after it, and what would help" do
    set
    told = worked("#{address}/forecast").body
    expect(told["points"].last).to eq(told["aim"])
    expect(told["aim"].values_at("low", "likely", "high")).to eq(told["aim"].values_at("low", "likely", "high").sort)
    expect(told["before"]).to be_nil
    change("skip", coming(get(address).body).last["day"])
    expect(worked("#{address}/forecast").body["before"]).to eq(told["aim"])
    set(last_day: (monday + 41).iso8601, aim: "minutes", aim_day: (monday + 41).iso8601)
    suggestions = worked("#{address}/suggestions").body["suggestions"]
    expect(suggestions.map { |suggestion| suggestion["id"] }).to include("desks")
    expect(suggestions.map { |suggestion| suggestion["more"] }).to all(be_positive)
  end

  # So many answers to a check on half past, from the first children of the class.
  def answered(of, children:, right: true)
    check = make_check(of, step: "half_past", count: 6)
    of["children"].first(children).each do |child|
      check["items"].each { |item| answer(check, child, item, right ? item["right"] : "?") }
    end
  end

  describe "for three children" do
    let(:school_class) { make_class(%w[Anneke Bram Celyn]) }

    it "finds out first where nothing is known, and foretells nothing before half of the class was asked" do
      expect(lessons(set.body).first).to include("kind" => "baseline", "check" => false)
      expect(worked("#{address}/forecast").body).to include("early" => true, "score" => nil, "within_reach" => nil)
      answered(school_class, children: 1)
      tomorrow = lessons(get(address).body).reject { |lesson| lesson["day"] == today.iso8601 }
      expect(tomorrow.map { |lesson| lesson["kind"] }).not_to include("baseline")
      early = -> { worked("#{address}/forecast").body["early"] }
      asked = [early.call, answered(school_class, children: 2) && early.call]
      expect(asked).to eq([true, false])
      expect(store.db[:forecasts].count).to eq(1)
    end

    it "says what most will know where few will know the goal" do
      answered(school_class, children: 3)
      set(last_day: (monday + 13).iso8601, aim: "minutes", aim_day: (monday + 13).iso8601)
      told = worked("#{address}/forecast").body
      expect(told["aim"]["likely"]).to eq(0)
      expect(told["within_reach"]).to include("likely" => be >= 2)
      expect(told["within_reach"]["step"]).to match(/oclock|half|quarter/)
    end

    it "compares what it told with what came, and is wider where it was wrong" do
      answered(school_class, children: 3)
      set
      term = store.terms.of_class(school_class["id"])
      points = [{ day: (today - 21).iso8601, low: 0, likely: 3, high: 3 }, { day: settings[:aim_day], low: 3, likely: 3, high: 3 }]
      store.terms.foretold(term, points, day: (today - 21).iso8601)
      held = worked("#{address}/forecast").body["score"]
      expect(held).to include("told_on" => (today - 21).iso8601, "came" => 0, "held" => true)
      store.terms.foretold(term, points.map { |point| { **point, low: 3 } }, day: (today - 20).iso8601)
      store.terms.note(store.terms.plan(term.id), forecast: nil)
      store.db[:jobs].delete
      missed = worked("#{address}/forecast").body
      expect(missed["score"]).to include("low" => 3, "came" => 0, "held" => false)
      expect(missed["aim"]["low"]).to eq(0)
    end
  end

  it "takes lessons that nobody called off as held, and one that fell out as lost" do
    set(first_day: (monday - 14).iso8601)
    term = store.terms.of_class(school_class["id"])
    plan = store.terms.plan(term.id)
    past = { day: (monday - 7).iso8601, minutes: 45, kind: "new", step: "quarters", recap: [], check: false, settled: nil }
    store.terms.note(plan, lessons: [past, *plan.lessons])
    progress = -> { Vantick::Server::Store::ProgressCache.lessons(store, school_class["id"]).map { |lesson| lesson.step.id } }
    expect(progress.call).to eq([:quarters])
    after = change("skip", past[:day]).body
    expect(lessons(after).first).to include("kind" => "skipped", "over" => true)
    expect(progress.call).to eq([])
    expect(change("skip", (monday - 6).iso8601)).to be_refused(422).at("day").saying(/No lesson was planned/)
  end

  it "is removed, with every plan of it" do
    set
    expect(delete(address).body["term"]).to be_nil
    expect(store.db[:term_plans].count).to eq(0)
    expect(get("#{address}.csv").status).to eq(404)
  end

  it "comes out as a table and as a calendar that follows" do
    set
    rows = CSV.parse(plain("#{address}.csv").body.delete_prefix("\uFEFF"), headers: true)
    expect(rows.map { |row| row["day"] }).to eq(lessons(get(address).body).map { |lesson| lesson["day"] })
    expect(rows.first.to_h).to include("step" => "The hour hand", "kind" => "baseline")
    expect(rows.map { |row| row["minutes"] }.uniq).to match_array(%w[30 45])
    first, again = Array.new(2) { |at| set(aim: at.zero? ? "fives" : "quarters") && plain("#{address}.ics").body }
    uids = ->(text) { text.scan(/^UID:(.*?)\r$/).flatten }
    expect(uids[first]).to eq(uids[again])
    expect(uids[first].uniq.length).to eq(rows.count)
    expect(first.lines.map(&:chomp)).to all(satisfy { |line| line.bytesize <= 75 })
    # Read by another reader than the one that wrote it: RFC 5545's own grammar of folded lines, by hand.
    unfolded = first.gsub(/\r\n[ \t]/, "").split("\r\n")
    expect(unfolded.grep(/^DTSTART;VALUE=DATE:(\d{8})$/) { Regexp.last_match(1) }).to eq(rows.map { |row| row["day"].delete("-") })
    expect(unfolded.count("BEGIN:VEVENT")).to eq(rows.count)
  end

  it "has its lessons planned with the recap that was chosen for them" do
    body = set.body
    planned = coming(body).find { |lesson| lesson["recap"].any? && lesson["step"] }
    post("/api/classes/#{school_class['id']}/lessons", { day: planned["day"], step: planned["step"], minutes: planned["minutes"], seed: 1 })
    expect(store.lessons.all(school_class["id"], limit: 1).first.plan.earlier).to eq(planned["recap"])
    expect(lessons(get(address).body).find { |lesson| lesson["day"] == planned["day"] }["lesson_id"]).to be_an(Integer)
  end
end
