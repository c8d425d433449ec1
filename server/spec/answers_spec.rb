# frozen_string_literal: true

RSpec.describe Vantick::Server::Check::Answers do
  let(:check) { make_check(make_class) }
  let(:child) { check["children"].first }
  let(:item) { check["items"].find { |item| item["time"].end_with?(":45") } }
  let(:right) { item["right"] }

  def kept = get("/api/checks/#{check['id']}").body["answers"]

  it "keeps an answer exactly as given, marks it and reads it back" do
    made = answer(check, child, item, " #{right.sub('quarter', 'quater')} ")
    expect(made.status).to eq(201)
    expect(made.body).to include("answer" => " #{right.sub('quarter', 'quater')} ", "verdict" => "right_writing_slip",
                                 "read_as" => right, "slips" => ["spelling"], "misreadings" => [])
    expect(kept).to eq([made.body])
  end

  # Of quarter to eight: what is said, and what of it is right.
  { "ten to %s" => "hour", "quarter to thirteen" => nil, "banana" => nil }.each do |said, half|
    it "says which half of #{said.inspect} is right: #{half || 'none'}" do
      made = answer(check, child, item, format(said, right.split.last))
      expect(made.body["half"]).to eq(half)
      expect(kept.first["half"]).to eq(half)
    end
  end

  it "offers what an unreadable answer may mean, and nothing for one that is read" do
    unread = answer(check, child, item, "ten past fine").body
    expect(unread.values_at("verdict", "near")).to eq(["unreadable", ["ten past five", "ten past nine"]])
    expect(answer(check, child, item, right).body["near"]).to eq([])
  end

  it "keeps for the child, and nobody else, what a teacher chose of what an answer may mean" do
    other, another = check["items"].reject { |one| one == item }
    fine = "ten past fine"
    answer(check, child, item, fine)
    expect(answer(check, child, other, fine).body["verdict"]).to eq("unreadable")
    answer(check, child, item, "ten past five")
    read = answer(check, child, another, "five past fine").body
    expect(read.values_at("read_as", "slips", "answer")).to eq(["five past five", ["spelling"], "five past fine"])
    expect(answer(check, check["children"][1], another, "five past fine").body["verdict"]).to eq("unreadable")
  end

  it "keeps nothing of what was typed over an answer, or corrected again" do
    other = check["items"].find { |one| one != item }
    ["ten past fine", "quarter past two"].each { |text| answer(check, child, item, text) }
    expect(answer(check, child, other, "ten past fine").body["verdict"]).to eq("unreadable")
    ["ten past fine", "ten past five", "ten past nine"].each { |text| answer(check, child, item, text) }
    expect(answer(check, child, other, "ten past fine").body["verdict"]).to eq("unreadable")
  end

  it "says that the minutes are right where another hour is named, and nothing of a right answer" do
    other = right.end_with?("six") ? "nine" : "six"
    halves = [right.sub(/\w+\z/, other), right].map { |text| answer(check, child, item, text).body["half"] }
    expect(halves).to eq(["minutes", nil])
  end

  it "changes nothing when the same answer comes twice" do
    id = SecureRandom.uuid
    first = answer(check, child, item, right, id:)
    again = answer(check, child, item, right, id:)
    expect([again.status, again.body]).to eq([200, first.body])
    expect(store.db[:answers].count).to eq(1)
  end

  it "refuses another answer under the same id" do
    id = SecureRandom.uuid
    answer(check, child, item, right, id:)
    expect(answer(check, child, item, "other", id:)).to be_refused(409).at("id")
  end

  it "corrects by a new row that points at the old one" do
    %w[first qp3].push(right, "").each { |text| answer(check, child, item, text) }
    expect(kept.map { |one| one["answer"] }).to eq([""])
    rows = store.db[:answers].order(:id).all
    expect(rows.map { |row| row[:corrects_id] }).to eq([nil, *rows.first(3).map { |row| row[:id] }])
  end

  it "refuses a clock and a child of the teacher's own that are another check's and another class's" do
    other = make_class(%w[Ida])
    there = make_check(other)["items"].first["id"]
    [[{ item_id: there }, "item_id", /isn't in this check/],
     [{ child_id: other["children"].first["id"] }, "child_id", /isn't in the check's class/]].each do |change, field, words|
      body = { id: SecureRandom.uuid, item_id: item["id"], child_id: child["id"], answer: right, **change }
      expect(post("/api/checks/#{check['id']}/answers", body)).to be_refused(422).at(field).saying(words)
    end
  end

  it "is still there after the store is closed and opened" do
    made = answer(check, child, item, right).body
    store.close
    @store = @app = nil
    expect(kept).to eq([made])
  end

  {
    "10,000 characters" => [{ answer: "x" * 10_000 }, 422, "answer", /10000 characters.*200/],
    "no text" => [{ answer: nil }, 400, "answer", /must be text/],
    "an id of another make" => [{ id: "7" }, 400, "id", /not written correctly/],
    "a clock that is not there" => [{ item_id: 999 }, 404, "item_id", /no clock 999/],
    "a child who is not there" => [{ child_id: 999 }, 404, "child_id", /no child 999/]
  }.each do |what, (change, status, field, words)|
    it "refuses #{what} and keeps nothing of it" do
      body = { id: SecureRandom.uuid, item_id: item["id"], child_id: child["id"], answer: right, **change }
      expect(post("/api/checks/#{check['id']}/answers", body)).to be_refused(status).at(field).saying(words)
      expect(kept).to eq([])
    end
  end

  it "takes whatever a keyboard can write, without failing" do
    expect(answer(check, child, item, "\u0000").body["answer"]).to eq("\uFFFD")
    ["25:99", "🕗", "'; DROP TABLE answers; --", "=1+1", "%", "\u202E7:45", "9" * 200].each do |text|
      expect(answer(check, child, item, text)).to have_attributes(status: 201, body: include("answer" => text))
    end
  end

  it "loses and doubles nothing when many write at once" do
    check
    server = Vantick::Server.app(store:)
    jobs = Queue.new
    mine = cookie
    check["items"].product(check["children"], (1..8).to_a).each { |job| jobs << job }
    writers = Array.new(4) do
      Thread.new do
        until jobs.empty?
          item, child, = jobs.pop(true)
          body = JSON.generate(id: SecureRandom.uuid, item_id: item["id"], child_id: child["id"], answer: "qt8")
          headers = { "CONTENT_TYPE" => "application/json", "HTTP_COOKIE" => mine }
          # As a page does: what Vantick has no time for is sent again, the same.
          said = nil
          said = Rack::MockRequest.new(server).post("/api/checks/#{check['id']}/answers", **headers, input: body) until said&.status == 201
        end
      rescue ThreadError
        nil
      end
    end
    writers.each(&:join)
    expect(store.db[:answers].count).to eq(80)
    expect(kept.length).to eq(10)
  end

  it "refuses letters in the place of a drawing, wherever they are typed; nothing drawn and what is unclear are taken" do
    school_class = make_class(%w[Ana])
    kept = store.checks.add(class_id: school_class["id"], step: "quarters", task: "digital_to_dial", times: %w[3:30 7:45],
                            made_at: "2026-03-02T08:00:00Z")
    check = get("/api/checks/#{kept.id}").body
    ana = school_class["children"].first
    draws = ->(text) { answer(check, ana, check["items"].first, text) }
    ["zzz", "3:30", "12"].each { |text| expect(draws[text]).to be_refused(422).at("answer").saying(/number of the matching picture/) }
    expect(["-", "?"].map { |text| draws[text].body["verdict"] }).to eq(%w[blank unreadable])
    expect(draws["hour=105 minute=180"].body["verdict"]).not_to eq("unreadable")
    table = post("/api/checks/#{check['id']}/tables", { table: "child,clock 1,clock 2\nAna,zzz,\n" })
    expect(table).to be_refused(422).at("answer").saying(/Ana, “zzz”: Type the number/)
  end
end
