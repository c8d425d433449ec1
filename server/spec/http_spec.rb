# frozen_string_literal: true

RSpec.describe Vantick::Server::Http do
  # What a part of the stack sees of a request that came through.
  def seen(env, proxies: "")
    inner = ->(found) { found }
    described_class::ClientAddress.new(inner, described_class::ClientAddress.proxies(proxies)).call(env.dup)
  end

  it "takes a device for the address of its own connection, whatever headers say" do
    forged = { "REMOTE_ADDR" => "192.168.1.20", "HTTP_X_FORWARDED_FOR" => "127.0.0.1", "HTTP_FORWARDED" => "for=127.0.0.1",
               "HTTP_X_FORWARDED_HOST" => "localhost", "HTTP_X_FORWARDED_PROTO" => "https", "HTTP_X_REAL_IP" => "127.0.0.1" }
    found = seen(forged)
    expect(found).to include("REMOTE_ADDR" => "192.168.1.20", described_class::ClientAddress::FORWARDED => true)
    expect(found.keys & described_class::ClientAddress::HEADERS).to be_empty
    expect(Rack::Request.new(found).ip).to eq("192.168.1.20")
  end

  it "believes a proxy that was named at the start, and of what it says the nearest address that is no proxy" do
    hops = { "REMOTE_ADDR" => "10.0.0.2", "HTTP_X_FORWARDED_FOR" => "127.0.0.1, 192.168.1.20, 10.0.0.3", "HTTP_HOST" => "vantick:80",
             "HTTP_X_FORWARDED_HOST" => "clocks.school", "HTTP_X_FORWARDED_PROTO" => "https" }
    found = seen(hops, proxies: "10.0.0.2, 10.0.0.3")
    expect(found).to include("REMOTE_ADDR" => "192.168.1.20", "HTTP_HOST" => "clocks.school", "rack.url_scheme" => "https")
    expect(described_class::ClientAddress.here?(found)).to be(false)
    expect(seen(hops, proxies: "10.0.1.0/24")).to include("REMOTE_ADDR" => "10.0.0.2")
    expect { described_class::ClientAddress.proxies("the one in the cellar") }.to raise_error(ArgumentError, /VANTICK_PROXY/)
  end

  it "tells devices apart by address, and of the newer kind by network" do
    device = ->(address) { described_class::ClientAddress.device("REMOTE_ADDR" => address) }
    expect(device["2001:db8:1:2::3"]).to eq(device["2001:db8:1:2:ffff::9"])
    expect(device["2001:db8:1:3::3"]).not_to eq(device["2001:db8:1:2::3"])
    expect(device["::ffff:10.0.0.7"]).to eq(device["10.0.0.7"])
  end

  describe "what nothing could read" do
    broken = {
      "a query with a lone %" => { path: "/api/dial?a=%" }, "a query of a % alone" => { path: "/api/dial?%" },
      "a name that is two things" => { path: "/api/times?a=1&a[b]=2" }, "a deep query" => { path: "/api/times?a#{'[b]' * 150}=1" },
      "a query that is no UTF-8" => { path: "/api/times?step=%ff%fe" }, "a path that is no UTF-8" => { path: "/api/sheets/%ff" },
      "a path with a nought" => { path: "/check/%00" }, "a path with a lone %" => { path: "/api/sheets/%" },
      "a host with a space" => { path: "/api/health", "HTTP_HOST" => "a b" }, "an empty host" => { path: "/api/health", "HTTP_HOST" => "" },
      "half an address" => { path: "/", "HTTP_HOST" => "[::1" }, "an endless host" => { path: "/", "HTTP_HOST" => "a" * 3000 },
      "a body that is no UTF-8" => { path: "/api/session/login", input: "{\"name\":\"\xFF\",\"password\":\"x\"}".b },
      "half of a sign" => { path: "/api/session/login", input: '{"name":"\ud800","password":"x"}' },
      "an endless number" => { path: "/api/desk/doors", input: '{"code":1e400}' },
      "a number too large for any place" => { path: "/api/desk/seats", input: "{\"code\":\"A\",\"child_id\":#{10**30},\"pictures\":[]}" }
    }
    broken.each do |what, how|
      it "#{what} is refused in words" do
        path, query = how[:path].split("?", 2)
        env = { "CONTENT_TYPE" => "application/json", "PATH_INFO" => path, "QUERY_STRING" => query.to_s, **how.except(:path) }
        answer = app.request(how[:input] ? "POST" : "GET", "/", env)
        expect([answer.status, answer["content-type"]]).to eq([400, "application/problem+json"]), answer.body
        expect(JSON.parse(answer.body)["detail"].split.length).to be > 4
      end
    end
  end

  it "takes 12.0 for the number 12" do
    school_class = make_class
    check = make_check(school_class)
    item = "#{check['items'].first['id']}.0"
    body = %({"id":"#{SecureRandom.uuid}","item_id":#{item},"child_id":#{school_class['children'].first['id']}.0,"answer":"qt8"})
    expect(post("/api/checks/#{check['id']}/answers", body).status).to eq(201)
  end

  it "minds neither a type where there is no body, nor whence somebody comes who only reads" do
    ["multipart/form-data", "multipart/form-data; boundary=x", "application/x-www-form-urlencoded"].each do |type|
      expect(app.get("/api/health", "CONTENT_TYPE" => type).status).to eq(200), type
    end
    ["http://elsewhere.example/", "::not an address::", "\xFF"].each do |referer|
      expect(get("/api/classes", "HTTP_REFERER" => referer).status).to eq(200), referer.dump
    end
  end

  describe Vantick::Server::Http::ErrorBoundary do
    let(:log) { StringIO.new }

    def answer(env = {}, &part)
      status, headers, body = described_class.new(part, log:,
busy: [Vantick::Server::Store::Busy]).call(Rack::MockRequest.env_for("/x?name=Anneke", env))
      [status, headers, JSON.parse(body.join)]
    end

    def failed(cause) = Sequel.convert_exception_class(cause, Sequel::DatabaseError)

    it "tells of its own mistakes as problems, and writes class and place down, but nothing that somebody typed" do
      status, headers, problem = answer { raise "Anneke wrote quarter to eight" }
      expect([status, headers["content-type"]]).to eq([500, "application/problem+json"])
      expect(problem["detail"]).to match(/not something you typed/)
      expect(log.string).to match(/Vantick: RuntimeError at GET an unknown address, in \S+:\d+/)
      expect(log.string).not_to match(/Anneke|quarter/)
    end

    it "asks to try again where that can help, and says what is in the way" do
      { SQLite3::BusyException => /busy/, SQLite3::FullException => /disk .* is full/, SQLite3::ReadOnlyException => /can't write/,
        SQLite3::CorruptException => /damaged.*restore/ }
        .each do |cause, words|
        status, headers, problem = answer { raise failed(cause.new) }
        expect([status, headers["retry-after"], problem["detail"]]).to match([503, "2", words])
      end
      expect(answer { raise Vantick::Server::Store::Busy }.first).to eq(503)
    end

    it "makes a problem of whatever another part of the stack answers by itself" do
      { [404, "text/html"] => 404, [406, "text/plain"] => 406, [500, "application/json"] => 500 }.each do |(status, type), told|
        code, headers, problem = answer { [status, { "content-type" => type }, ["<h1>no</h1>"]] }
        expect([code, headers["content-type"], problem["status"]]).to eq([told, "application/problem+json", told])
        expect(problem["detail"]).not_to include("<")
      end
    end
  end

  it "marks cookies as secure behind a named proxy with https, and nowhere else" do
    named = Vantick::Server.app(store:, web: folder, proxies: described_class::ClientAddress.proxies("10.0.0.2"))
    cookie
    sent = { "CONTENT_TYPE" => "application/json", "HTTP_X_FORWARDED_PROTO" => "https", "HTTP_X_FORWARDED_FOR" => "192.168.1.7",
             input: JSON.generate(name: "Marit", password: ApiHelpers::PASSWORD) }
    { "10.0.0.2" => true, "10.0.0.9" => false }.each do |address, secure|
      told = Rack::MockRequest.new(named).post("/api/session/login", { **sent, "REMOTE_ADDR" => address })
      expect(told["set-cookie"].to_s.match?(/; secure/i)).to be(secure), address
    end
  end

  it "says that it is there, also while nothing can be looked up" do
    app
    allow(store.db).to receive(:synchronize).and_raise(Sequel::PoolTimeout)
    expect(app.get("/api/health", "HTTP_COOKIE" => "vantick.session=x").status).to eq(200)
    expect(app.get("/api/nothing-here").status).to eq(404)
  end
end
