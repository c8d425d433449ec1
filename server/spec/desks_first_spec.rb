# frozen_string_literal: true

# Children at desks come first: nothing heavy holds up a desk.
RSpec.describe Vantick::Server::Http::Lanes do
  let(:entered) { Queue.new }
  let(:gate) { Queue.new }
  let(:lanes) do
    described_class.new(lambda do |env|
      entered << [env["PATH_INFO"], Thread.current.priority]
      gate.pop if env["PATH_INFO"].start_with?("/api/classes")
      [200, {}, [""]]
    end)
  end

  # However slow the machine is that this runs on.
  before { stub_const("#{described_class}::PATIENCE", 600) }

  def ask(path) = Thread.new { lanes.call({ "PATH_INFO" => path }).first }

  it "works on a few requests of teachers at a time, lets some wait, and asks all others to come again; desks pass at once" do
    working = Array.new(described_class::PLACES) { ask("/api/classes") }
    described_class::PLACES.times { entered.pop }
    waiting = Array.new(described_class::WAITING) { ask("/api/classes/1/term") }
    Thread.pass until lanes.waiting[:teachers] == waiting.length
    status, headers, = lanes.call({ "PATH_INFO" => "/api/classes/2" })
    expect([status, headers["retry-after"]]).to eq([503, "1"])
    %w[/api/desk/answers /api/desk/state /api/session /assets/x.js /desk].each do |path|
      expect(lanes.call({ "PATH_INFO" => path }).first).to eq(200), path
    end
    (working + waiting).length.times { gate << true }
    expect((working + waiting).map(&:value).uniq).to eq([200])
  end

  it "works on five requests of desks at a time, and lets all others of them wait: none is sent away" do
    held = described_class.new(->(env) { (entered << env["PATH_INFO"]) && gate.pop && [200, {}, [""]] })
    desks = Array.new(40) { Thread.new { held.call({ "PATH_INFO" => "/api/desk/answers" }).first } }
    described_class::DESKS.times { entered.pop }
    Thread.pass until held.waiting[:desks] == desks.length - described_class::DESKS
    expect([described_class::DESKS, entered.length]).to eq([5, 0])
    desks.length.times { gate << true }
    expect(desks.map(&:value).uniq).to eq([200])
  end

  it "gives a teacher's request less of the time than a desk's, and gives the place back when it ends badly" do
    (described_class::PLACES * 3).times do
      gate << true
      lanes.call({ "PATH_INFO" => "/api/classes" })
    end
    lanes.call({ "PATH_INFO" => "/api/desk/state" })
    told = Array.new(entered.length) { entered.pop }
    expect(told.to_h).to eq("/api/classes" => described_class::GIVES_WAY, "/api/desk/state" => 0)
    expect(Thread.current.priority).to eq(0)
    failing = described_class.new(->(_) { raise IOError })
    (described_class::PLACES + 1).times { expect { failing.call({ "PATH_INFO" => "/api/classes" }) }.to raise_error(IOError) }
  end
end

RSpec.describe Vantick::Server::Work::Runner do
  let(:log) { StringIO.new }

  def run(**kinds) = described_class.new(store, kinds: kinds.transform_keys(&:to_s), log:).run

  it "works on jobs in the order in which they came, keeps what came of them, and works the same out once" do
    seen = []
    2.times { |at| store.jobs.add("sum", { at: }, key: "k#{at}") }
    again = store.jobs.add("sum", { at: 0 }, key: "k0")
    run(sum: ->(_, job) { (seen << job.about[:at]) && { sum: job.about[:at] + 1 } })
    expect(seen).to eq([0, 1])
    expect(store.jobs.find(again.id).to_h).to include(state: "done", result: { sum: 1 })
    expect(store.jobs.add("sum", { at: 0 }, key: "k0").result).to eq({ sum: 1 })
  end

  it "begins what a fall has stopped again, tries three times with a pause between, and never gives an erasure up" do
    failing = ->(_, _) { raise IOError }
    sum = store.jobs.add("sum", {})
    erasure = store.jobs.add("erasure", { kind: "child", id: 1 })
    4.times do
      run(sum: failing, erasure: failing)
      store.db[:jobs].update(changed_at: "2026-01-01T00:00:00Z")
    end
    expect([sum, erasure].map { |job| store.jobs.find(job.id).state }).to eq(%w[failed waiting])
    expect(store.jobs.find(erasure.id).trouble).to match(/goes on by itself/)
    store.jobs.change(erasure.id, state: "running")
    store.jobs.resume
    expect(store.jobs.find(erasure.id).to_h).to include(state: "waiting", tries: 0)
    expect(log.string).to include("IOError").and match(/sum stopped/)
  end

  it "forgets what came of a job after a week" do
    job = store.jobs.add("sum", {})
    run(sum: ->(_, _) { 1 })
    store.jobs.forget_old(Time.now + (6 * 86_400))
    expect(store.jobs.find(job.id).result).to eq(1)
    store.jobs.forget_old(Time.now + (8 * 86_400))
    expect { store.jobs.find(job.id) }.to raise_error(Vantick::Server::Store::Missing)
  end

  # The worker's own process, started as the server starts it.
  describe Vantick::Server::Work::WorkerProcess do
    def eventually
      ends = Vantick::Server::Store::WriteSerializer.now + 60
      sleep 0.05 until yield || Vantick::Server::Store::WriteSerializer.now > ends
      expect(yield).to be_truthy
    end

    def done?(job) = store.jobs.find(job.id).state == "done"

    # @return [Array<Integer>] processes that run the worker on this school's file
    def workers
      Dir["/proc/[0-9]*/environ"].filter_map do |file|
        File.basename(File.dirname(file)).to_i if File.read(file).include?("VANTICK_PLACE=0") && File.read(file).include?(store.path)
      rescue SystemCallError
        nil
      end
    end

    it "works beside the server, is started again where it falls, makes the day's copy, and ends with the server" do
      school_class = make_class(%w[Zyphelina Bo])
      process = described_class.start(store, count: 1)
      child = school_class["children"].first
      job = post("/api/classes/#{school_class['id']}/children/#{child['id']}/erasure", { name: "Zyphelina" }).body["job"]
      eventually { store.jobs.find(job["id"]).state == "done" }
      eventually { Dir[File.join(folder, "copies/day-*.sqlite3")].any? }
      first = workers.first
      expect(Process.getpriority(Process::PRIO_PROCESS, first)).to eq(Vantick::Server::Work::Worker::NICE)
      Process.kill(:KILL, first)
      again = store.jobs.add("paper", {})
      process.wake
      eventually { done?(again) }
      expect(workers).not_to include(first)
      # A second server on the same file: its worker waits, and the first one does the work of both.
      other = described_class.new(store, 1)
      eventually { workers.length == 2 }
      third = store.jobs.add("paper", {})
      process.wake
      eventually { done?(third) }
      other.stop
      process.stop
      expect(workers).to eq([])
    end
  end
end
