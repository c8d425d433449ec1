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
    200.times { ready? ? return : sleep(0.1) }
    raise "did not start: #{File.read(log)}"
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
      answers.each { |one| acknowledged << one[:id] }
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

  it "listens to this machine alone, and prints the room's address where it is told otherwise" do
    start
    expect(File.read(log)).to include("Vantick is ready: http://127.0.0.1:#{port}")
    expect(File.read(log)).not_to include("devices in the room")
    mine = Socket.ip_address_list.find(&:ipv4_private?)&.ip_address
    expect { TCPSocket.new(mine, port) }.to raise_error(SystemCallError) if mine
    kill
    start("VANTICK_HOST" => "0.0.0.0", "VANTICK_ADDRESS" => "http://tern-quay:#{port}")
    expect(File.read(log)).to include("For devices in the room: http://tern-quay:#{port}/desk")
  end
end
