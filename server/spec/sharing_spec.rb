# frozen_string_literal: true

# A class is shared with a colleague, lent to a substitute, handed over; accounts come and go.
RSpec.describe Vantick::Server::Store::Shares do
  before { cookie } # Marit made the school

  let!(:joris) { signed_in("Joris") }
  let(:joris_id) { id_of("Joris") }
  let(:school_class) { make_class(%w[Bo Ida]) }
  let(:path) { "/api/classes/#{school_class['id']}" }

  def id_of(name) = store.db[:accounts].where(login: name).get(:id)

  def share(until_day = nil) = post("#{path}/shares", { account_id: joris_id, until: until_day })

  def classes = get("/api/classes").body["classes"].map { |one| one.values_at("name", "of", "right", "until") }

  # The present password, where it is wanted once more.
  def own = { present_password: ApiHelpers::PASSWORD }

  def copy(password = ApiHelpers::PASSWORD)
    app.post("/api/school/copies", "CONTENT_TYPE" => "application/json", "HTTP_COOKIE" => cookie,
input: JSON.generate(present_password: password))
  end

  def in_days(days) = (Date.today + days).iso8601

  it "gives a colleague the same rights, but to give the class away" do
    expect(share.body).to eq("shares" => [{ "account_id" => joris_id, "name" => "Joris", "until" => nil }],
                             "colleagues" => [{ "id" => joris_id, "name" => "Joris" }])
    as(joris) do
      expect(classes).to eq([["Curlew", "Marit", "keeping", nil]])
      expect(post("#{path}/children", { names: ["Una"] }).status).to eq(201)
      expect(put("#{path}/conventions", { conventions: { to_word: "of" } }).status).to eq(200)
      expect(make_check(school_class)["items"].length).to eq(5)
      [["erasure", { name: "Curlew", **own }], ["owner", { account_id: joris_id }], ["shares", { account_id: joris_id, until: nil }],
       ["next-year", { name: "X", child_ids: [1] }]].each do |door, body|
        expect(post("#{path}/#{door}", body)).to be_refused(403).at(nil).saying(/Only they can/), door
      end
    end
  end

  it "lends a class to a substitute until the end of a day: lessons and answers, neither children nor settings" do
    share(in_days(1))
    check = make_check(school_class)
    as(joris) do
      expect(classes).to eq([["Curlew", "Marit", "teaching", in_days(1)]])
      expect(answer(check, school_class["children"].first, check["items"].first, "qt8").status).to eq(201)
      expect(post("#{path}/lessons", { day: "2026-03-02", step: "quarters", minutes: 40, seed: 1 }).status).to eq(201)
      expect(desk_of(school_class)["open"]).to be(true)
      # Nothing is taken away, and no paper is deleted.
      scan = store.scans.add(class_id: school_class["id"], name: "x.pdf", bytes: 3, made_at: "2026-03-02T08:00:00Z")
      ["#{path}/oneroster.zip", "#{path}/answers.csv", "#{path}/answers.jsonl", "/api/checks/#{check['id']}/answers.csv"].each do |file|
        expect(plain(file).status).to eq(403), file
      end
      expect(delete("/api/scans/#{scan.id}")).to be_refused(403).at(nil).saying(/lent to you/)
      child = "#{path}/children/#{school_class['children'].first['id']}"
      [post("#{path}/children", { names: ["Una"] }), put(child, { name: "B" }), post("#{child}/erasure", { name: "Bo" }),
       put("#{path}/conventions", { conventions: {} }), put(path, { name: "Mine" }), get("#{child}/file.json")].each do |refused|
        expect(refused).to be_refused(403).at(nil).saying(/lent to you/)
      end
    end
    store.db[:shares].update(last_day: in_days(-1))
    as(joris) { expect([classes, get("#{path}/ladder").status]).to eq([[], 404]) }
  end

  it "moves no child out of a class that was only lent" do
    share(in_days(3))
    as(joris) do
      own = make_class(%w[Eva])
      child = school_class["children"].first["id"]
      expect(post("#{path}/children/#{child}/move", { to_class_id: own["id"] })).to be_refused(403).at(nil)
      mine = "/api/classes/#{own['id']}/children/#{own['children'].first['id']}"
      expect(post("#{mine}/move", { to_class_id: school_class["id"] })).to be_refused(403).at(nil)
    end
  end

  it "ends, and is given only to whoever has an account, and until a day that is to come" do
    share
    expect(share(in_days(5)).body["shares"].length).to eq(1), "the same colleague once"
    expect(delete("#{path}/shares/#{joris_id}").body["shares"]).to eq([])
    expect(delete("#{path}/shares/#{joris_id}")).to be_refused(404).at("account_id")
    as(joris) { expect(classes).to eq([]) }
    expect(share(in_days(-1))).to be_refused(422).at("until").saying(/over/)
    [999, id_of("Marit")].each do |id|
      expect(post("#{path}/shares", { account_id: id, until: nil })).to be_refused(422).at("account_id").saying(/colleague/)
    end
  end

  it "hands a class over: it is theirs, and no longer one's own" do
    share
    expect(post("#{path}/owner", { account_id: joris_id }).body).to eq("name" => "Joris")
    expect(classes).to eq([])
    as(joris) { expect(classes).to eq([["Curlew", nil, "owning", nil]]) }
  end

  describe "the school" do
    def accounts = get("/api/school").body["accounts"].map { |account| account.values_at("name", "classes") }

    it "lists accounts to whoever made it, and to nobody else" do
      school_class
      expect(accounts).to eq([["Joris", 0], ["Marit", 1]])
      as(joris) do
        expect(get("/api/school").body).to include("keeper" => false, "accounts" => [], "copied_at" => nil, "copies" => [], "journal" => [])
        expect(post("/api/accounts/#{id_of('Marit')}/password",
                    { password: "another lamp is lit", **own })).to be_refused(404).at("account_id")
        expect(post("/api/accounts/#{id_of('Marit')}/removal", { classes_to: nil, **own })).to be_refused(404).at("account_id")
        expect(copy.status).to eq(403)
      end
    end

    it "removes an account when somebody has its classes, and ends its sessions" do
      as(joris) { make_class(%w[Eva]) }
      share
      removal = "/api/accounts/#{joris_id}/removal"
      expect(post(removal, { classes_to: nil, **own })).to be_refused(422).at("classes_to")
      expect(post(removal, { classes_to: joris_id, **own })).to be_refused(422).at("classes_to")
      expect(post(removal, { classes_to: id_of("Marit"), **own }).body["accounts"].map { |account| account["name"] }).to eq(["Marit"])
      expect(as(joris) { get("/api/classes").status }).to eq(401)
      expect(classes.map(&:first)).to eq(%w[Curlew Curlew])
      expect(store.db.fetch("PRAGMA foreign_key_check").all).to eq([])
      expect(post("/api/accounts/#{id_of('Marit')}/removal", { classes_to: nil, **own })).to be_refused(422).at("account_id")
    end

    it "gives an account another password, and signs it out everywhere" do
      setting = "/api/accounts/#{joris_id}/password"
      expect(post(setting, { password: "short", **own })).to be_refused(422).at("password")
      expect(post(setting, { password: "a new lamp is lit", **own }).status).to eq(200)
      expect(as(joris) { get("/api/classes").status }).to eq(401)
      as("") { expect(post("/api/session/login", { name: "Joris", password: "a new lamp is lit" }).status).to eq(200) }
    end

    it "is taken away as a copy that opens as the school it was, and says when that was" do
      school_class
      got = copy
      expect(got.headers["content-disposition"]).to match(/attachment; filename="vantick-\d{4}-\d\d-\d\d\.sqlite3"/)
      file = File.join(folder, "away.sqlite3")
      File.binwrite(file, got.body)
      copy = Vantick::Server::Store::Database.open(file)
      expect(copy.classes.all.map(&:name)).to eq(["Curlew"])
      copy.close
      expect(Time.iso8601(get("/api/school").body["copied_at"])).to be_within(60).of(Time.now)
      expect(Dir.children(File.join(folder, "copies"))).to eq([])
    end

    it "wants the present password for what cannot be taken back or gives away everything, and makes whoever guesses wait" do
      wrong = { present_password: "the lamp is out" }
      { "#{path}/erasure" => { name: "Curlew" }, "/api/accounts/#{joris_id}/removal" => { classes_to: nil }, "/api/school/copies" => {},
        "/api/accounts/#{joris_id}/password" => { password: "a new lamp is lit" },
        "/api/accounts/#{id_of('Marit')}/password" => { password: "a new lamp is lit" } }.each do |door, body|
        expect(post(door, { **body, **wrong })).to be_refused(422).at("present_password").saying(/isn't your current password/), door
        expect(post(door, body)).to be_refused(400).at("present_password")
      end
      expect(post("#{path}/erasure", { name: "Curlew", **own })).to be_refused(429).at("present_password").saying(/Wait/)
      expect(classes.length).to eq(1)
    end

    it "keeps a journal of what it has to be able to tell, without children and answers, for whoever made it" do
      bo = school_class["children"].first
      plain("#{path}/oneroster.zip")
      share
      post("#{path}/children/#{bo['id']}/erasure", { name: bo["name"] })
      as(joris) { plain("#{path}/children/#{school_class['children'].last['id']}/file.json") }
      post("/api/accounts/#{joris_id}/password", { password: "a new lamp is lit", **own })
      post("#{path}/children/#{bo['id']}/erasure", { name: "nobody" })
      lines = get("/api/school").body["journal"]
      expect(lines.map { |line| line.values_at("event", "by", "to", "class_name") }).to eq(
        [["password_set", "Marit", "Joris", nil], ["exported", "Joris", nil, "Curlew"], ["child_erased", "Marit", nil, "Curlew"],
         %w[class_shared Marit Joris Curlew], ["exported", "Marit", nil, "Curlew"]]
      )
      expect(JSON.generate(lines)).not_to include(bo["name"])
    end

    it "says so where the disk has no room for a copy" do
      allow(Vantick::Server::Store::SafeCopy).to receive(:free).and_return(0)
      expect(told(copy)).to be_refused(503).at(nil).saying(/no room/)
      expect(get("/api/school").body["copied_at"]).to be_nil
    end
  end
end
