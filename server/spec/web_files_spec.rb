# frozen_string_literal: true

RSpec.describe Vantick::Server::Http::WebFiles do
  before do
    FileUtils.mkdir_p(File.join(folder, "web/assets"))
    File.write(File.join(folder, "web/index.html"), "<!doctype html>first page")
    File.write(File.join(folder, "web/assets/app-1a2b.js"), "let it = 1")
    FileUtils.mkdir_p(File.join(folder, "web/voice"))
    File.write(File.join(folder, "web/voice/index.json"), "{}")
    File.write(File.join(folder, "web/voice/0a1b.mp3"), "sound")
    File.write(File.join(folder, "web/docs.html"), "the contract's page")
    File.write(File.join(folder, "secret"), "hidden words")
  end

  it "gives every address of the application its first page, never kept" do
    ["/", "/check/3", "/class/new", "/25:99"].each do |path|
      page = app.get(path)
      expect([page.status, page.body, page["cache-control"]]).to eq([200, "<!doctype html>first page", "no-cache"])
    end
  end

  describe "what a teacher's page asks first" do
    def named(page) = page["link"].to_s.scan(/<([^>]+)>; rel=preload; as=fetch; crossorigin=anonymous/).flatten

    it "is named with the page, in the words of most classes that are taught, and is there" do
      expect(named(plain("/"))).to eq([])
      post("/api/classes", { name: "Dunlin", children: %w[Bo], conventions: {} })
      most = Array.new(2) { make_class }
      most.each { |school_class| put("/api/classes/#{school_class['id']}/conventions", { conventions: { to_word: "till" } }) }
      put_away = Array.new(3) { make_class }
      put_away.each { |school_class| post("/api/classes/#{school_class['id']}/archive", { archived: true }) }
      addresses = named(plain("/plan"))
      expect(addresses.map { |address| address[/[^?]+/] }).to eq(%w[/api/dial /api/catalogue])
      expect(addresses).to all(include("till"))
      expect(addresses.map { |address| get(address).status }).to all(eq(200))
    end

    it "is named to nobody who isn't signed in, on no other page, and not where the school can't be asked" do
      make_class
      expect(as("") { named(app.get("/")) }).to eq([])
      expect(["/join", "/assets/app-1a2b.js", "/api/docs"].flat_map { |path| named(plain(path)) }).to eq([])
      store.db.rename_table(:classes, :elsewhere)
      expect([plain("/").status, named(plain("/"))]).to eq([200, []])
    end
  end

  it "shows the contract to anybody, as it is, and lets the page that shows it write its styles" do
    page = app.get("/api/docs")
    expect([page.status, page.body]).to eq([200, "the contract's page"])
    policies = [page, app.get("/")].map { |one| one["content-security-policy"] }
    expect(policies).to match([/style-src 'self' 'unsafe-inline';/, /style-src 'self';/])
    contract = app.get("/api/openapi.json")
    expect(contract["content-type"]).to eq("application/json")
    expect(JSONSchemer.openapi(JSON.parse(contract.body))).to be_valid
    expect(app.post("/api/docs", "CONTENT_TYPE" => "application/json", input: "{}").status).to eq(404)
  end

  it "lets assets be kept for ever, and leaves the folder for nothing" do
    expect(app.get("/assets/app-1a2b.js")["cache-control"]).to include("immutable")
    expect(app.get("/assets/../../secret").body).not_to include("hidden words")
    expect(app.get("/assets/none.js").status).to eq(404)
    sound, index = %w[0a1b.mp3 index.json].map { |name| app.get("/voice/#{name}") }
    expect([sound["content-type"], sound["cache-control"]]).to match(["audio/mpeg", /immutable/])
    expect([index.body, index["cache-control"]]).to eq(["{}", "no-cache"])
    expect(app.get("/voice/none.mp3").status).to eq(404)
  end
end
