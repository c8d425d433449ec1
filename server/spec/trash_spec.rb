# frozen_string_literal: true

# What was made by mistake is removed, and comes back as it was.
RSpec.describe Vantick::Server::Store::Trash do
  let(:school_class) { make_class(%w[Bo Ida Tom]) }
  let(:path) { "/api/classes/#{school_class['id']}" }
  let(:bo) { school_class["children"].first }
  let(:check) { make_check(school_class) }

  # Rows of all tables but of those that only tell of removals.
  def rows
    (store.db.tables - %i[removed sqlite_sequence account_active_session_keys]).to_h do |table|
      [table, store.db[table].all.to_set(&:to_a)]
    end
  end

  def removed = get("#{path}/removed").body["removed"]

  def answered
    answer(check, bo, check["items"].first, "quarter to eight")
    answer(check, bo, check["items"].first, "qt8")
    answer(check, school_class["children"][1], check["items"].first, "half past nine")
  end

  # What a class has that can be removed, each with its address; everything hangs together here.
  def things
    answered
    lesson = post("#{path}/lessons", { day: "2026-03-02", step: "quarters", minutes: 40, seed: 1 }).body
    exit_check = post("/api/lessons/#{lesson['id']}/check", {}).body["check_id"]
    post("/api/lessons/#{lesson['id']}/copies", { day: "2026-03-09", seed: 2 })
    stage = post("#{path}/desks", { kind: "stage", lesson_id: lesson["id"], stage: "alone" }).body
    practice = desk_of(school_class)
    as(seated(practice["id"], bo)) { get("/api/desk/state") }
    at_exit = post("#{path}/desks", { kind: "exit", lesson_id: lesson["id"] }).body
    as(seated(at_exit["id"], bo)) { get("/api/desk/state") }
    %W[checks/#{check['id']} checks/#{exit_check} lessons/#{lesson['id']} desks/#{practice['id']} desks/#{stage['id']}
       desks/#{at_exit['id']}]
  end

  it "is away from every list and every count, and comes back row by row, whatever it was" do
    all = things
    all.each do |thing|
      before = rows
      put_away = delete("/api/#{thing}").body
      expect(rows).not_to eq(before), thing
      expect(get("/api/#{thing}").status).to eq(404)
      expect(removed).to eq([put_away])
      expect(store.db.fetch("PRAGMA foreign_key_check").all).to eq([])
      expect(post("/api/removed/#{put_away['id']}/return", {}).body).to eq(put_away)
      expect(rows).to eq(before), thing
      expect(removed).to eq([])
    end
  end

  it "comes back in any order" do
    all = things
    before = rows
    gone = all.shuffle(random: Random.new(3)).map { |thing| delete("/api/#{thing}").body["id"] }
    gone.shuffle(random: Random.new(4)).each { |id| post("/api/removed/#{id}/return", {}) }
    expect(store.db.fetch("PRAGMA foreign_key_check").all).to eq([])
    %i[checks items answers lessons].each { |table| expect(rows[table].length).to eq(before[table].length), table.to_s }
  end

  it "says what it was: of a check its answers, of a desk what it was for" do
    answered
    expect(delete("/api/checks/#{check['id']}").body["about"]).to include("step" => "quarters", "answers" => 2, "code" => check["code"])
    desk = desk_of(school_class)
    expect(delete("/api/desks/#{desk['id']}").body).to include("kind" => "desk", "about" => include("desk" => "practice", "answers" => 0))
    expect(get("#{path}/checks").body["checks"]).to eq([])
    expect(get("#{path}/desks").body["desks"]).to eq([])
  end

  it "takes a code anew where somebody else has got it meanwhile" do
    gone = delete("/api/checks/#{check['id']}").body
    other = make_check(school_class)
    store.db[:checks].where(id: other["id"]).update(code: check["code"])
    post("/api/removed/#{gone['id']}/return", {})
    expect(store.db[:checks].select_map(:code).uniq.length).to eq(2)
  end

  it "gives no answers back of a child who was erased meanwhile, and keeps none of them while it is away" do
    answered
    gone = delete("/api/checks/#{check['id']}").body
    expect(get("#{path}/children/#{bo['id']}/file.json").body["kept"]["what was deleted"].map do |one|
      one["answer"]
    end).to eq(["quarter to eight", "qt8"])
    post("#{path}/children/#{bo['id']}/erasure", { name: "Bo" })
    expect(store.db[:removed].get(:rows)).not_to include("qt8")
    post("/api/removed/#{gone['id']}/return", {})
    expect(get("/api/checks/#{check['id']}").body["answers"].map { |answer| answer["answer"] }).to eq(["half past nine"])
  end

  it "goes with its class, and by itself after thirty days" do
    delete("/api/checks/#{check['id']}")
    store.removed.forget_old(Time.now + (29 * 86_400))
    expect(removed.length).to eq(1)
    store.removed.forget_old(Time.now + (31 * 86_400))
    expect(removed).to eq([])
    delete("/api/checks/#{make_check(school_class)['id']}")
    post("#{path}/erasure", { name: school_class["name"], present_password: ApiHelpers::PASSWORD })
    expect(store.db[:removed].count).to eq(0)
  end

  it "is nobody else's to bring back" do
    gone = delete("/api/checks/#{check['id']}").body
    as(signed_in("Joris")) { expect(post("/api/removed/#{gone['id']}/return", {}).status).to eq(404) }
    expect(post("/api/removed/999/return", {})).to be_refused(404).at("removed_id")
  end
end
