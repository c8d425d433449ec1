# frozen_string_literal: true

RSpec.describe Vantick::Server::Access::SignIn do
  before { cookie }

  def login(name, password) = as("") { post("/api/session/login", { name:, password: }) }

  def session(who) = as(who) { get("/api/session").body }

  it "tells who is here, and whether there is an account at all" do
    expect(session(cookie)).to eq("signed_in" => true, "name" => "Marit", "keeper" => true, "first_start" => false, "demo" => nil,
                                  "time_zone" => nil, "first_day" => [], "classes" => [], "countries" => [],
                                  "country" => { "week" => "monday", "standards" => "", "locale" => "en-GB" })
    expect(session("")).to include("signed_in" => false, "name" => nil, "keeper" => false, "first_start" => false)
    expect(session(signed_in("Wietske"))).to include("signed_in" => true, "keeper" => false)
  end

  it "has the classes of whoever is here, as the list of classes has them, and none for others" do
    make_class(%w[Anneke])
    own = session(cookie)["classes"]
    expect(own).to eq(get("/api/classes").body["classes"]).and match([include("name" => "Curlew", "right" => "owning")])
    expect([session(""), session(signed_in("Wietske"))].map { |seen| seen["classes"] }).to eq([[], []])
  end

  it "keeps passwords in argon2, and cookies from scripts and other sites" do
    hash = store.db[:account_password_hashes].get(:password_hash)
    expect(hash).to start_with("$argon2id$")
    input = JSON.generate(name: "Marit", password: ApiHelpers::PASSWORD)
    sent = app.post("/api/session/login", "CONTENT_TYPE" => "application/json", input:)
    expect(sent["set-cookie"]).to match(/httponly/i).and match(/samesite=strict/i)
  end

  it "does not tell a wrong name from a wrong password" do
    answers = [login("Marit", "something else"), login("Nobody", "something else")]
    expect(answers).to all(be_refused(401).at("password").saying(/name or password/))
    expect(answers.map(&:body).uniq.length).to eq(1)
  end

  it "makes whoever guesses wait, longer each time, and nobody else" do
    other = signed_in("Joris")
    5.times { expect(login("Marit", "wrong")).to be_refused(401).at("password") }
    waits = login("Marit", ApiHelpers::PASSWORD)
    expect(waits).to be_refused(429).at(nil).saying(/Too many tries from this device. Wait [45] seconds/)
    expect(waits.headers["retry-after"].to_i).to be_between(1, 5)
    expect(session(other)).to include("signed_in" => true)
    expect(from("10.0.0.9", "marit").status).to eq(200)
    expect(from("127.0.0.1", "Joris").status).to eq(200)
  end

  it "counts guesses that come all at once" do
    verdicts = Array.new(12) { Thread.new { login("Marit", "wrong").status } }.map(&:value)
    expect(verdicts.tally).to eq(401 => 5, 429 => 7)
  end

  it "slows a thief of a session down who guesses the password" do
    guess = ->(password) { post("/api/session/password", { password:, new_password: "another lamp is lit" }) }
    5.times { expect(guess["wrong"].status).to eq(401) }
    expect(guess[ApiHelpers::PASSWORD]).to be_refused(429).at(nil)
  end

  def from(address, name)
    app.post("/api/session/login", "REMOTE_ADDR" => address, "CONTENT_TYPE" => "application/json",
                                   input: JSON.generate(name:, password: ApiHelpers::PASSWORD))
  end

  it "takes as much work to refuse a name that nobody has as one that somebody has" do
    compared = []
    allow(Argon2::Password).to receive(:verify_password).and_wrap_original do |verify, *all|
      compared << all[1]
      verify.call(*all)
    end
    login("Marit", "wrong")
    login("Nobody", "wrong")
    expect(compared.length).to eq(2)
    expect(compared.map { |hash| hash[/\$m=\d+,t=\d+,p=\d+\$/] }.uniq.length).to eq(1)
  end

  it "slows down who guesses, also at many names" do
    allow(Time).to receive(:now).and_return(Time.now) # or a new minute may begin in the middle
    limit = Vantick::Server::Http::Throttle::LIMITS["/api/session/login"]
    answers = Array.new(limit + 5) { |number| login("name#{number}", "wrong").status }
    expect(answers.tally.keys).to eq([401, 429])
    expect(login("Marit", ApiHelpers::PASSWORD)).to be_refused(429).at(nil).saying(/Wait a minute/)
    elsewhere = app.post("/api/session/login", "REMOTE_ADDR" => "10.0.0.9", "CONTENT_TYPE" => "application/json",
                                               input: JSON.generate(name: "Marit", password: ApiHelpers::PASSWORD))
    expect(elsewhere.status).to eq(200)
  end

  it "signs out here, or everywhere" do
    here, tablet, phone = Array.new(3) { signed_in("Marit") }
    as(here) { post("/api/session/logout", {}) }
    expect([here, tablet, phone].map { |one| session(one)["signed_in"] }).to eq([false, true, true])
    as(tablet) { post("/api/session/logout", { everywhere: true }) }
    expect([here, tablet, phone, cookie].map { |one| session(one)["signed_in"] }).to all(be(false))
  end

  it "ends a session that is not used, and one that is old" do
    limits = { last_use: described_class::IDLE_HOURS, created_at: described_class::LONGEST_HOURS }.to_a
    limits.product([0.1, -0.1]).each do |(column, hours), less|
      @cookie = signed_in("Marit")
      moment = (Time.now.utc - ((hours - less) * 3600)).strftime("%F %T")
      store.db[:account_active_session_keys].update(column => moment)
      expect(get("/api/classes").status).to eq(less.positive? ? 200 : 401), "#{column} #{less}"
    end
  end

  it "changes a password with the one there is, and ends the other sessions" do
    other = signed_in("Marit")
    change = ->(password, new_password) { post("/api/session/password", { password:, new_password: }) }
    expect(change["wrong", "another lamp is lit"]).to be_refused(401).at("password").saying(/isn't your current password/)
    expect(change[ApiHelpers::PASSWORD, "short"]).to be_refused(422).at("new_password").saying(/at least 10/)
    expect(change[ApiHelpers::PASSWORD, "1234567890"]).to be_refused(422).at("new_password").saying(/too easy to guess/)
    expect(change[ApiHelpers::PASSWORD, ApiHelpers::PASSWORD]).to be_refused(422).at("new_password")
    expect(change[ApiHelpers::PASSWORD, "another lamp is lit"].status).to eq(200)
    expect([cookie, other].map { |one| session(one)["signed_in"] }).to eq([true, false])
    expect(login("Marit", "another lamp is lit").status).to eq(200)
    expect(login("Marit", ApiHelpers::PASSWORD).status).to eq(401)
  end

  it "makes accounts for colleagues, none twice" do
    make = ->(name, password) { post("/api/teachers", { name:, password: }) }
    expect(make["Joris", ApiHelpers::PASSWORD].status).to eq(201)
    expect(make["Joris", ApiHelpers::PASSWORD]).to be_refused(422).at("name").saying(/already/)
    expect(make["J", ApiHelpers::PASSWORD]).to be_refused(422).at("name").saying(/2 to 40/)
    expect(make["Wim", "too short"]).to be_refused(422).at("password").saying(/at least 10/)
    expect(login("Joris", ApiHelpers::PASSWORD).status).to eq(200)
  end

  it "knows a name however it is typed, and takes none that could be taken for another" do
    make = ->(name, password = ApiHelpers::PASSWORD) { post("/api/teachers", { name:, password: }) }
    expect(make["Zoë Ångström"].status).to eq(201)
    ["zoë ångström", "ZOE\u0308 A\u030Angstro\u0308m", " Zoë  Ångström "].each do |name|
      expect(login(name, ApiHelpers::PASSWORD).status).to eq(200), name
    end
    # The second is Cyrillic throughout, the third has letters of two scripts, the others hide something.
    { "marit" => /already/, "\uFF2Darit" => /already/, "Mar1t" => /very similar name/, "Маrit" => /different alphabets/,
      "Ma\u200Brit" => /hidden characters/, "Mari\u202Et" => /hidden characters/, "Marit\u3164" => /hidden characters/,
      "Mar/it" => /letters, digits/ }.each do |name, words|
      expect(make[name]).to be_refused(422).at("name").saying(words), name.dump
    end
  end

  it "takes no password that is the name" do
    make = ->(name, password) { post("/api/teachers", { name:, password: }) }
    expect(make["Annabella van Dijk", "annabella VAN dijk"]).to be_refused(422).at("password").saying(/can't be your name/)
    expect(make["Annabella van Dijk", ApiHelpers::PASSWORD].status).to eq(201)
    as(signed_in("Annabella van Dijk")) do
      change = post("/api/session/password", { password: ApiHelpers::PASSWORD, new_password: "Annabella van Dijk" })
      expect(change).to be_refused(422).at("new_password").saying(/can't be your name/)
    end
  end

  it "is the same after a restart" do
    @app = nil
    expect(session(cookie)).to include("signed_in" => true)
  end
end

RSpec.describe "The first start" do
  def first(name: "Marit", from: "127.0.0.1", at: "localhost:4567", **headers)
    headers = { "REMOTE_ADDR" => from, "HTTP_HOST" => at, **headers.transform_keys(&:to_s) }
    as("") { post("/api/session/first", { name:, password: ApiHelpers::PASSWORD }, **headers) }
  end

  it "makes the first account once, and only on the machine itself; it takes the classes that were there" do
    left = store.classes.add(name: "Curlew", school: "", names: ["Bo"], made_at: "2026-01-01T00:00:00Z")
    expect(as("") { get("/api/session").body }).to include("first_start" => true)
    expect(first(from: "192.168.1.20")).to be_refused(403).at(nil).saying(/computer that runs Vantick/)
    expect(first.status).to eq(201)
    expect(first(name: "Joris")).to be_refused(409).at(nil)
    expect(get("/api/classes").body["classes"].map { |one| one["id"] }).to eq([left[:id]])
  end

  it "believes no header about where somebody is, and no name that somebody else can have lead here" do
    Vantick::Server::Http::ClientAddress::HEADERS.each do |header|
      expect(first(from: "192.168.1.20", header => "127.0.0.1")).to be_refused(403).at(nil), header
      expect(first(header => "127.0.0.1")).to be_refused(403).at(nil), header
    end
    ["evil.example", "evil.example:4567", "localhost.evil.example", "127.0.0.1.evil.example", "192.168.1.5", nil].each do |host|
      expect(first(at: host)).to be_refused(403).at(nil), host.inspect
    end
    expect(store.teachers).to be_none
    expect(first(from: "::ffff:127.0.0.1", at: "[::1]:4567").status).to eq(201)
  end

  it "knows the machine by its own address, too, where that alone was opened" do
    allow(Socket).to receive(:ip_address_list).and_return([Addrinfo.ip("192.168.1.5")])
    expect(first(from: "192.168.1.20", at: "192.168.1.5:4567")).to be_refused(403).at(nil)
    expect(first(from: "192.168.1.5", at: "evil.example:4567")).to be_refused(403).at(nil)
    expect(first(from: "192.168.1.5", at: "192.168.1.5:4567").status).to eq(201)
  end

  it "makes one account where eight ask at once" do
    app
    answers = Array.new(8) { |number| Thread.new { first(name: "Teacher #{number}").status } }.map(&:value)
    expect(answers.tally).to eq(201 => 1, 409 => 7)
    expect(store.db[:accounts].count).to eq(1)
  end

  it "shows a sign-in on the page only where the demo brings one" do
    shown = -> { as("") { get("/api/session").body["demo"] } }
    expect(shown.call).to be_nil
    allow(ENV).to receive(:[]).and_call_original
    allow(ENV).to receive(:[]).with("VANTICK_DEMO_SIGN_IN").and_return("harbour:the lamp is lit")
    expect(shown.call).to eq("name" => "harbour", "password" => "the lamp is lit")
  end
end

RSpec.describe Vantick::Server::Http::SameOrigin do
  def ask(**headers) = app.post("/api/session/login", input: JSON.generate(name: "x", password: "y"), **headers.transform_keys(&:to_s))

  it "takes nothing from another site, and nothing but JSON" do
    json = { CONTENT_TYPE: "application/json" }
    expect(ask(**json, HTTP_ORIGIN: "http://elsewhere.example", HTTP_HOST: "vantick.local").status).to eq(403)
    expect(ask(**json, HTTP_ORIGIN: "null", HTTP_HOST: "vantick.local").status).to eq(403)
    expect(ask(**json, HTTP_ORIGIN: "http://vantick.local", HTTP_HOST: "vantick.local").status).to eq(401)
    expect(ask(**json).status).to eq(401)
    ["application/x-www-form-urlencoded", "text/plain", "multipart/form-data", nil].each do |type|
      expect(ask(CONTENT_TYPE: type).status).to eq(415), type.inspect
    end
  end

  it "tells browsers to run nothing from elsewhere and nothing inline, and to keep no answer" do
    headers = get("/api/classes").headers
    expect(headers["content-security-policy"]).to include("script-src 'self';", "frame-ancestors 'none'")
    expect(headers["content-security-policy"]).not_to include("unsafe")
    expect(headers).to include("x-content-type-options" => "nosniff", "cache-control" => "no-store")
  end

  it "keeps what a teacher has done of the first day with the account" do
    expect(get("/api/session").body["first_day"]).to eq([])
    %w[settings away settings].each { |done| expect(post("/api/session/first-day", { done: }).status).to eq(200) }
    expect(get("/api/session").body["first_day"]).to eq(%w[settings away])
    expect(post("/api/session/first-day", { done: "everything" })).to be_refused(400).at("done")
  end
end
