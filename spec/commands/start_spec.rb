# frozen_string_literal: true

require "securerandom"

# A server in a process of its own, as in a school.
RSpec.describe "The server" do
  include Listening

  let(:folder) { Dir.mktmpdir("school") }
  let(:file) { File.join(folder, "school.sqlite3") }
  let(:log) { File.join(folder, "log") }
  let(:port) { free_port }

  attr_accessor :pid

  after do
    Process.kill("KILL", pid) && Process.wait(pid) if pid
    FileUtils.rm_rf(folder)
  end

  def start(**environment)
    environment = { "VANTICK_DB" => file, "VANTICK_PORT" => port.to_s, **environment }
    self.pid = spawn(environment, "ruby", File.join(ROOT, "server/start.rb"), out: [log, "a"], err: %i[child out])
    wait_for_server(pid, log)
  end

  def kill
    Process.kill("KILL", pid)
    Process.wait(pid)
    self.pid = nil
  end

  # @return [Array(Hash, String)] what was answered, and the cookie that came with it
  def post(path, body, cookie: "")
    headers = { "content-type" => "application/json", "cookie" => cookie }
    response = Net::HTTP.post(URI("http://127.0.0.1:#{port}#{path}"), JSON.generate(body), headers)
    [JSON.parse(response.body), response["set-cookie"].to_s.split(";").first]
  end

  # A desk with its children, joined.
  # @return [Array<String>] their cookies
  def seats(names)
    me = { name: "Marit", password: "a boat in the bay" }
    post("/api/session/first", me)
    teacher = post("/api/session/login", me).last
    id = post("/api/classes", { name: "Curlew", children: names }, cookie: teacher).first["id"]
    code = post("/api/classes/#{id}/desks", { kind: "practice", step: "fives" }, cookie: teacher).first["code"]
    keys = JSON.parse(Net::HTTP.get(URI("http://127.0.0.1:#{port}/api/classes/#{id}/keys"), "cookie" => teacher))["keys"]
    keys.map { |key| post("/api/desk/seats", { code:, **key.transform_keys(&:to_sym) }).last }
  end

  # Answers one task after the other until the server is gone.
  def answer(cookie, acknowledged)
    turn = post("/api/desk/rounds", {}, cookie:).first["turn"]
    while turn
      answers = turn["items"].map { |item| { id: SecureRandom.uuid, item_id: item["id"], answer: "Anneke's own words" } }
      turn = post("/api/desk/answers", { turn_id: turn["id"], answers: }, cookie:).first["turn"]
      answers.each { |answer| acknowledged << answer[:id] }
    end
  rescue SystemCallError, EOFError, JSON::ParserError
    nil
  end

  it "has every answer that it acknowledged, when it was killed while they arrived" do
    start
    acknowledged = Queue.new
    children = seats(%w[Anneke Bram Celyn Dara]).map { |cookie| Thread.new { answer(cookie, acknowledged) } }
    sleep 0.05 until acknowledged.length > 20
    kill
    children.each(&:join)
    start
    store = Vantick::Server::Store::Database.open(file)
    kept = store.db[:answers].select_map(:uuid) + store.db[:tries].select_map(:uuid)
    store.close
    ids = Array.new(acknowledged.length) { acknowledged.pop }
    expect(ids - kept).to be_empty
    expect(kept.uniq.length).to eq(kept.length)
    expect(kept.length - ids.length).to be <= children.length * 3
  end

  it "writes no name and no answer into its log" do
    start
    cookie = seats(%w[Anneke]).first
    turn = JSON.parse(Net::HTTP.get(URI("http://127.0.0.1:#{port}/api/desk/state"), "cookie" => cookie))["turn"]
    answers = turn["items"].map { |item| { id: SecureRandom.uuid, item_id: item["id"], answer: "Anneke's own words" } }
    post("/api/desk/answers", { turn_id: turn["id"], answers: }, cookie:)
    post("/api/desk/answers", { turn_id: 99_999, answers: }, cookie:)
    Net::HTTP.post(URI("http://127.0.0.1:#{port}/api/desk/answers"), "{\"Anneke", "content-type" => "application/json", "cookie" => cookie)
    kill
    expect(File.read(log)).not_to match(/Anneke|own words|boat/)
  end

  # @return [String] everything that comes back on a connection until it ends
  def raw(bytes)
    socket = TCPSocket.new("127.0.0.1", port)
    socket.write(bytes)
    socket.read
  rescue SystemCallError
    ""
  ensure
    socket&.close
  end

  # Sends a body until the server will have no more of it.
  # @return [Array(Integer, String)] bytes that went out, and what was said
  def endless(head)
    socket = TCPSocket.new("127.0.0.1", port)
    socket.write("POST /api/session/login HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n#{head}\r\n\r\n")
    sent = 0
    piece = "a" * 65_536
    400.times { sent += socket.write(head.include?("chunked") ? "10000\r\n#{piece}\r\n" : piece) }
    [sent, ""]
  rescue SystemCallError
    [sent, (socket.read_nonblock(4096) rescue "")] # rubocop:disable Style/RescueModifier -- it may be gone already
  ensure
    socket&.close
  end

  it "takes in no body that it would not look at, and refuses what is no request as it refuses all else" do
    start
    ["Content-Length: 400000000", "Transfer-Encoding: chunked"].each do |head|
      sent, = endless(head)
      expect(sent).to be < 12_000_000, head
    end
    ["Content-Length: 400000000\r\n\r\n", "Transfer-Encoding: chunked\r\n\r\n#{"10000\r\n#{'a' * 65_536}\r\n" * 60}"].each do |rest|
      said = raw("POST /api/session/login HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n#{rest}")
      expect(said).to match(/\AHTTP.1.1 413 .*problem\+json.*too large to send at once/m).or(eq("")), rest[0, 40]
    end
    expect(Net::HTTP.get(URI("http://127.0.0.1:#{port}/api/health"))).to include("ok")
    # What is no request is answered with a problem, too, and no method is a mistake of the server's own.
    expect(raw("GET\r\n\r\n")).to match(/\AHTTP.1.\d 400 .*problem\+json/m)
    expect(raw("BREW /api/classes HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n")).to match(/\AHTTP.1.1 4\d\d .*problem\+json/m)
    expect(raw("GET /api/times?a=1&a[b]=2 HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n")).to match(/\AHTTP.1.1 400 /)
  end

  it "answers 503 while another program holds its file, says it is there meanwhile, and goes on afterwards" do
    start
    me = { name: "Marit", password: "a boat in the bay" }
    post("/api/session/first", me)
    held = Sequel.connect(adapter: "sqlite", database: file)
    held.transaction(mode: :immediate) do
      address = URI("http://127.0.0.1:#{port}/api/session/login")
      waits = Array.new(4) { Thread.new { Net::HTTP.post(address, JSON.generate(me), "content-type" => "application/json") } }
      sleep 0.5
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      expect(Net::HTTP.get_response(URI("http://127.0.0.1:#{port}/api/health")).code).to eq("200")
      expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < 5
      expect(waits.map { |wait| [wait.value.code, wait.value["retry-after"]] }.uniq).to eq([%w[503 2]])
    end
    held.disconnect
    sleep 1
    expect(post("/api/session/login", me).first).to include("signed_in" => true)
  end

  it "ends at Ctrl-C, also while connections are kept and children answer" do
    start
    idle = Array.new(20) { TCPSocket.new("127.0.0.1", port) }
    acknowledged = Queue.new
    children = seats(%w[Anneke Bram]).map { |cookie| Thread.new { answer(cookie, acknowledged) } }
    sleep 0.05 until acknowledged.length > 4
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    Process.kill("INT", pid)
    Process.wait(pid)
    self.pid = nil
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < 9
    children.each(&:join)
    idle.each(&:close)
  end

  it "says in a line what is wrong with its file or its port, and shows nothing of the inside" do
    File.write(file, "no database, but long enough to be looked at as one. " * 40)
    { { "VANTICK_PORT" => port.to_s } => %r{is damaged.*bin/vantick restore}, { "VANTICK_PORT" => "0" } => /from 1 to 65535/,
      { "VANTICK_PORT" => port.to_s, "VANTICK_PROXY" => "cellar" } => /VANTICK_PROXY/ }.each do |environment, words|
      _, errors, status = Open3.capture3({ "VANTICK_DB" => file, **environment }, "ruby", File.join(ROOT, "server/start.rb"))
      expect([errors.lines.length, errors, status.exitstatus]).to match([1, words, 1])
    end
  end

  it "listens to this machine alone, and prints the room's address where it is told otherwise" do
    start
    ready = "Vantick is ready: http://127.0.0.1:#{port}"
    expect(wait_for_words(ready, log)).to include(ready)
    expect(File.read(log)).not_to include("devices in the room")
    mine = Socket.ip_address_list.find(&:ipv4_private?)&.ip_address
    expect { TCPSocket.new(mine, port) }.to raise_error(SystemCallError) if mine
    kill
    start("VANTICK_HOST" => "0.0.0.0", "VANTICK_ADDRESS" => "http://tern-quay:#{port}")
    room = "For devices in the room: http://tern-quay:#{port}/join"
    expect(wait_for_words(room, log)).to include("Vantick is ready: http://localhost:#{port}", room)
  end

  # A file that is missing beside its copies: the disk is another, or somebody moved it.
  it "begins no new school by itself where copies of one are there, and offers the newest; a copy is known again" do
    school = Vantick::Server::Store::Database.open(file)
    school.teachers.secret
    school.classes.add(name: "Curlew", school: "", names: %w[Bo Ida], made_at: "2026-01-01T00:00:00Z")
    copy = Vantick::Server::Work::DailyCopies.new(school).make(Date.new(2026, 3, 2))
    school.close
    [nil, ""].each do |left|
      FileUtils.rm_f(Dir["#{file}*"])
      File.write(file, left) if left
      said, status = Open3.capture2e({ "VANTICK_DB" => file, "VANTICK_PORT" => port.to_s }, "ruby", File.join(ROOT, "server/start.rb"))
      expect(status).not_to be_success
      expect(said).to include("no school in #{file}").and include("2 children: #{copy}").and include("bin/start --new")
      expect(File.exist?(file) ? File.size(file) : 0).to eq(0)
    end
    said, status = Open3.capture2e({ "VANTICK_DB" => file, "RACK_ENV" => "test" }, File.join(ROOT, "bin/vantick"), "restore", copy)
    expect(status).to be_success, said
    FileUtils.rm_f(Dir["#{file}*"])
    start("VANTICK_NEW" => "yes")
    expect(JSON.parse(Net::HTTP.get(URI("http://127.0.0.1:#{port}/api/session")))).to include("first_start" => true)
    kill
    said, status = Open3.capture2e({ "VANTICK_DB" => file, "RACK_ENV" => "test" }, File.join(ROOT, "bin/vantick"), "restore", copy)
    expect(status).to be_success, said
  end
end
