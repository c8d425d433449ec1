# frozen_string_literal: true

require_relative "support/printed"

# Next lesson's day: one thing that Home, Plan and Groups look at, and one stack of paper for it.
RSpec.describe Vantick::Server::Tomorrow::Day do
  let(:names) { Array.new(26) { |at| "Child#{at}x" } }
  let(:school_class) { make_class(names) }
  let(:path) { "/api/classes/#{school_class['id']}" }

  def tomorrow = get("#{path}/tomorrow").body

  def stack = post("#{path}/stacks", { seed: 5 })

  def texts(sides)
    Printed.new(plain("/api/stacks/#{tomorrow['stack']['id']}/stack.pdf?sides=#{sides}").body).layouts
  end

  it "has a lesson and groups for a class that nothing is known of, and for one that knows all" do
    expect(tomorrow).to include("next" => include("how" => "proposed", "lesson_id" => nil, "minutes" => 40), "stack" => nil)
    expect(tomorrow["groups"].flat_map { |group| group["child_ids"] }).to match_array(school_class["children"].map { |child| child["id"] })
    ladder = get("#{path}/ladder").body
    expect(tomorrow["next"]["step"]).to eq(ladder["next"]["step"])
  end

  it "is about the lesson that waits, then about the one that was missed, then about the term's" do
    made = post("#{path}/lessons", { day: Date.today.iso8601, step: "half_past", minutes: 30, seed: 1 }).body
    expect(tomorrow["next"]).to include("how" => "made", "lesson_id" => made["id"], "step" => "half_past", "minutes" => 30)
    store.db[:lessons].update(day: (Date.today - 2).iso8601)
    expect(tomorrow["next"]).to include("how" => "late", "lesson_id" => made["id"])
    store.db[:lessons].update(day: (Date.today - 8).iso8601)
    expect(tomorrow["next"]).to include("how" => "proposed")
    days = { first_day: Date.today.iso8601, last_day: (Date.today + 60).iso8601, aim_day: (Date.today + 60).iso8601 }
    weekdays = %w[monday tuesday wednesday thursday friday saturday sunday].to_h { |day| [day, 45] }
    put("#{path}/term", { **days, weekdays:, days_off: [], aim: "quarters" })
    expect(tomorrow["next"]).to include("how" => "planned", "minutes" => 45)
  end

  it "makes one stack with a cover: each child one sheet of the own group and a slip, nobody's page on another's back" do
    post("#{path}/lessons", { day: Date.today.iso8601, step: "quarters", minutes: 40, seed: 1 })
    expect(stack.status).to eq(201)
    told = tomorrow
    kinds = told["stack"]["parts"].map { |part| part["kind"] }
    expect(kinds).to eq(["starter", *(["group"] * (kinds.length - 2)), "exit"])
    pages = texts("both")
    expect(pages.length).to eq(told["stack"]["paper"]["both"] * 2).or eq((told["stack"]["paper"]["both"] * 2) - 1)
    expect(pages.first).to include("This page and the lesson", "Copy it 26 times", "Exit slips")
    expect(pages.first.scan(/Group (\d+):/).flatten.map(&:to_i)).to eq([*1..(kinds.length - 2)])
    names.each do |name|
      at = pages.each_index.select { |page| pages[page].match?(/Name:\s*#{name}\b/) }
      expect(at.length).to be >= 2, name # a sheet and a slip
      expect(at.first).to be_even
    end
    on_one = texts("one").reject(&:empty?)
    expect(on_one.length).to eq(tomorrow["stack"]["paper"]["one"])
    expect(pages.reject(&:empty?).drop(1)).to eq(on_one.drop(1)) # the cover counts paper
  end

  it "makes the lesson once, and another stack in the place of one without answers" do
    stack
    first = tomorrow
    expect(first["next"]).to include("how" => "made", "lesson_id" => be_an(Integer))
    stack
    again = tomorrow
    expect(again["next"]).to eq(first["next"])
    gone = first["stack"]["parts"].map { |part| part["check_id"] } - again["stack"]["parts"].map { |part| part["check_id"] }
    expect(gone.map { |id| get("/api/checks/#{id}").status }.uniq).to eq([404])
    expect(store.db[:stacks].count).to eq(1)
    kept = again["stack"]["parts"].first["check_id"]
    answer({ "id" => kept }, school_class["children"].first, get("/api/checks/#{kept}").body["items"].first, "?")
    stack
    expect(get("/api/checks/#{kept}").status).to eq(200)
  end

  it "leaves out what was removed since, and goes with its class" do
    stack
    part = tomorrow["stack"]["parts"].first
    expect(delete("/api/checks/#{part['check_id']}").status).to eq(200)
    expect(tomorrow["stack"]["parts"].map { |one| one["check_id"] }).not_to include(part["check_id"])
    expect(texts("one").first).not_to include("Starter")
    store.stacks.delete(tomorrow["stack"]["id"])
    expect(get("/api/stacks/1/stack.pdf")).to be_refused(404).at("stack_id")
  end

  describe "for one lesson" do
    after { Vantick::Server::Clock.set(nil) }

    def lesson_stack(**how)
      made = post("#{path}/lessons", { day: Date.today.iso8601, step: "fives_past", minutes: 45, seed: 3, **how }).body
      Vantick::Server::Clock.set(Time.now + 5)
      [made, post("/api/lessons/#{made['id']}/stack", {})]
    end

    it "has the lesson's own clocks for each child to work on alone, fewer and with help for those who need it" do
      lesson, answered = lesson_stack
      expect(answered.status).to eq(201)
      parts = store.stacks.find(answered.body["stack_id"]).parts
      expect(parts.map { |part| part[:kind] }).to eq(%w[starter alone exit])
      own = lesson["stages"].find { |stage| stage["id"] == "alone" }["items"].filter_map { |item| item["time"] }
      items = store.checks.find(parts[1][:check_id]).items.group_by(&:child_id).values
      expect(items.map { |some| some.map(&:time) }.uniq).to eq([own.first((own.length * 0.75).ceil)])
      expect(items.length).to eq(26)
      expect(items.flatten.map(&:helped).uniq).to eq([1])
      expect(post("/api/lessons/#{lesson['id']}/stack", {}).body).to eq(answered.body)
      text = Printed.new(plain("/api/stacks/#{answered.body['stack_id']}/stack.pdf?sides=one").body).layouts
      expect(text.first).to include("Alone: Fives past")
      expect(text[1]).to include("Count round in fives.").and include("Hand out the sheets.")
      expect(text[1]).not_to match(/(\d+:\d\d): \1/)
      expect(text.grep(/Answers: Fives past/).length).to be <= 3
    end

    it "has cards where the lesson has pairs to match, without a code and answers" do
      lesson, = lesson_stack
      settled = lesson.slice("day", "step", "task", "minutes", "seed", "method", "pinned", "swapped", "opening", "version")
      Vantick::Server::Clock.set(Time.now + 10)
      changed = put("/api/lessons/#{lesson['id']}", { **settled, stage_minutes: {}, kept: {}, activities: { alone: "matched_pair" } })
      expect(changed.status).to eq(200)
      Vantick::Server::Clock.set(Time.now + 15)
      stack = post("/api/lessons/#{lesson['id']}/stack", {}).body["stack_id"]
      expect(store.stacks.find(stack).parts.map { |part| part[:kind] }).to eq(%w[starter cards exit])
      expect(plain("/api/stacks/#{stack}/stack.pdf").status).to eq(200)
      expect(tomorrow["stack"]["parts"].find { |part| part["kind"] == "cards" }).to include("check_id" => nil, "code" => "")
    end
  end

  it "has the groups as a teacher put them together" do
    ids = school_class["children"].map { |child| child["id"] }
    group = ->(step, child_ids) { { step:, child_ids:, misreadings: [], beside: false, times: [] } }
    put("#{path}/groups", { groups: [group["half_past", ids.first(3)], group["oclock", ids.drop(3)]] })
    stack
    groups = tomorrow["stack"]["parts"].select { |part| part["kind"] == "group" }
    expect(groups.map { |part| part["title"] }).to eq(["Half past", "O'clock"])
    sheets = groups.map { |part| get("/api/checks/#{part['check_id']}").body["items"].map { |item| item["child_id"] }.uniq }
    expect(sheets).to eq([ids.first(3), ids.drop(3)])
    counts = get("#{path}/checks").body["checks"].to_h { |check| check.values_at("id", "children") }
    expect(groups.map { |part| counts.fetch(part["check_id"]) }).to eq([3, 23])
    findings = get("/api/checks/#{groups.first['check_id']}/findings").body["children"]
    expect(findings.map { |child| child["child_id"] }).to eq(ids.first(3))
  end
end
