# frozen_string_literal: true

require "securerandom"

RSpec.describe "bin/demo" do
  include Listening

  let(:folder) { Dir.mktmpdir("demo") }
  let(:port) { free_port }
  let(:log) { File.join(folder, "log") }

  # The process of the running demo.
  attr_accessor :pid

  after do
    stop("KILL")
    FileUtils.rm_rf(folder)
  end

  def start(*options)
    environment = { "VANTICK_DB" => File.join(folder, "demo.sqlite3") }
    self.pid = spawn(environment, File.join(ROOT, "bin/demo"), "--port", port.to_s, *options, out: [log, "a"], err: %i[child out])
    wait_for_server(pid, log)
  end

  def stop(signal)
    return unless pid

    Process.kill(signal, pid)
    Process.wait2(pid).last
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  ensure
    self.pid = nil
  end

  def ask(path) = JSON.parse(Net::HTTP.get(URI("http://127.0.0.1:#{port}#{path}"), "cookie" => cookie))

  def post(path, body, headers = { "cookie" => cookie })
    Net::HTTP.post(URI("http://127.0.0.1:#{port}#{path}"), JSON.generate(body), "content-type" => "application/json", **headers)
  end

  # Signed in as the demo says.
  def cookie
    demo = JSON.parse(Net::HTTP.get(URI("http://127.0.0.1:#{port}/api/session")))["demo"]
    @cookie ||= post("/api/session/login", demo, {})["set-cookie"].split(";").first
  end

  def answer(check, text)
    body = { id: SecureRandom.uuid, item_id: check["items"][0]["id"], child_id: check["children"].last["id"], answer: text }
    post("/api/checks/#{last}/answers", body)
  end

  # The check that was given last.
  def last = @last ||= ask("/api/classes/1/checks?limit=1")["checks"][0]["id"]

  # What stands in the cell that `answer` writes to.
  def current
    check = ask("/api/checks/#{last}")
    check["answers"].find { |answer| answer["child_id"] == 26 && answer["item_id"] == check["items"][0]["id"] }["answer"]
  end

  def fresh_beside
    environment = { "VANTICK_DB" => File.join(folder, "demo.sqlite3") }
    Open3.capture3(environment, File.join(ROOT, "bin/demo"), "--fresh", "--port", free_port.to_s)
  end

  # Some still have the misreading they began with, and two are away.
  def expect_the_story
    findings = ask("/api/checks/#{last}/findings")
    shared = findings["shared"].first
    named = findings["children"].to_h { |child| child.values_at("child_id", "name") }
    expect(shared["misreading"]).to eq("to_with_passed_hour")
    names = shared["child_ids"].map { |id| named.fetch(id) }
    # Which slips others make depends on the days on which the half year's lessons fall.
    began = names & Vantick::Demo::Story::TABLE[:misreadings][:to_with_passed_hour]
    expect(began.length).to be > 3
    expect(names.length - began.length).to be < began.length / 2.0
    expect(findings["children"].select { |child| child["answered"].zero? }.map { |child| child["name"] }).to eq(%w[Hana Kofi])
  end

  # Half a year is made at each first start, which takes its time: what one start can show is shown by one.
  it "makes the demo class and its story, keeps what was entered through a stop and a fall, and starts over when told" do
    start
    expect(ask("/api/classes")["classes"].first).to include("name" => "Curlew class", "school" => "Tern Quay School", "made_up" => true)
    expect(ask("/api/classes")["classes"].first["children"].length).to eq(26)
    expect_the_story
    before = File.stat(File.join(folder, "demo.sqlite3")).ino
    _, errors, status = fresh_beside
    expect([errors, status.exitstatus]).to match([/is in use by another program/, 1])
    expect(File.stat(File.join(folder, "demo.sqlite3")).ino).to eq(before)
    expect(answer(ask("/api/checks/#{last}"), "kept through a stop").code).to eq("201")
    expect(stop("INT")).to be_success
    expect(File.read(log)).to include("Vantick is ready: http://127.0.0.1:#{port}")

    start
    expect(current).to eq("kept through a stop")
    expect(answer(ask("/api/checks/#{last}"), "kept through a fall").code).to eq("201")
    stop("KILL")

    start
    expect(current).to eq("kept through a fall")
    stop("INT")

    start("--fresh")
    @cookie = @last = nil
    expect(current).not_to start_with("kept")
    expect(File.exist?(File.join(folder, "demo.sqlite3.before"))).to be(true)
  end

  it "says what is wrong with its options, and with a port that is taken" do
    wrong = { %w[--port lots] => /must be a number/, %w[--port 0] => /from 1 to 65535/, %w[--port 99999] => /from 1 to 65535/,
              %w[--nonsense] => /no option --nonsense/, %w[--port] => /needs a value/ }
    wrong.each do |options, words|
      _, errors, status = Open3.capture3(File.join(ROOT, "bin/demo"), *options)
      expect([errors, status.exitstatus]).to match([words, 2])
    end
    taken = TCPServer.new("127.0.0.1", 0)
    environment = { "VANTICK_DB" => File.join(folder, "demo.sqlite3") }
    _, errors, status = Open3.capture3(environment, File.join(ROOT, "bin/demo"), "--port", taken.addr[1].to_s)
    expect([errors, status.success?]).to match([/can't listen on 127.0.0.1, port/, false])
    taken.close
  end
end
