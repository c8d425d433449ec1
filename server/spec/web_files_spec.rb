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

  it "sends the first page whole, so that nobody goes by what was named with an older one" do
    now = { "HTTP_IF_MODIFIED_SINCE" => (Time.now + 60).httpdate }
    page = app.get("/", now)
    expect([page.status, page["last-modified"], page["etag"]]).to eq([200, nil, nil])
  end

  describe "what a teacher's page asks first" do
    def named(page) = page["link"].to_s.scan(/<([^>]+)>; rel=preload; as=fetch; crossorigin=anonymous/).flatten

    let!(:classes) { Array.new(3) { make_class["id"] } }

    before do
      put("/api/classes/#{classes[1]}/conventions", { conventions: { to_word: "till" } })
      post("/api/classes/#{classes[2]}/archive", { archived: true })
    end

    it "is named with the page, for the teacher's newest class that is taught, and is there" do
      addresses = named(plain("/"))
      expect(addresses.map { |address| address[/[^?]+/] }).to eq(["/api/dial", "/api/catalogue", "/api/classes/#{classes[1]}/news"])
      expect(addresses.first(2)).to all(include("till"))
      expect(addresses.map { |address| get(address).status }).to all(eq(200))
      expect(plain("/")["cache-control"]).to eq("no-store")
    end

    it "is that of the class that the address names, where it is one of the teacher's" do
      words = ["/plan?class=#{classes[0]}", "/plan?class=99", "/plan?class=#{'9' * 30}&class=x"].map { |path| named(plain(path)) }
      expect(words.map(&:length)).to eq([2, 2, 2])
      expect(words.map { |addresses| addresses.first.include?("till") }).to eq([false, true, true])
    end

    it "is named to nobody who isn't signed in, on no other page, and not where the school can't be asked" do
      expect(as("") { named(plain("/")) }).to eq([])
      expect(as("vantick.session=made-up") { named(plain("/")) }).to eq([])
      expect(as(signed_in("Joris")) { named(plain("/")) }).to eq([])
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
