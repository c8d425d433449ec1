# frozen_string_literal: true

# What the worker does, in a thread of this process; that it is a process of its own is looked at beside the desks.
RSpec.describe Vantick::Server::Work::Worker do
  let(:log) { StringIO.new }
  let(:pipe) { IO.pipe }

  before { allow(Process).to receive(:setpriority) }

  def at_work(place)
    ended = Queue.new
    worker = described_class.new(store, place:, input: pipe.first, log:, ends: -> { ended << true })
    thread = Thread.new { worker.run }
    yield
    pipe.last.close
    expect(ended.pop).to be(true), "the end of its input is its end"
  ensure
    thread&.kill&.join
  end

  def eventually
    ends = Vantick::Server::Store::WriteSerializer.now + 60
    sleep 0.02 until yield || Vantick::Server::Store::WriteSerializer.now > ends
    expect(yield).to be_truthy
  end

  it "takes up what a fall has left, makes the day's copy, and works on what comes" do
    school_class = make_class
    left = store.jobs.add("paper", {}, state: "running")
    part = Vantick::Server::Store::SafeCopy.in_folder(store.path, "day-2026-03-02.sqlite3.part-999999999-1")
    File.write(part, "half a copy")
    scan = store.scans.add(class_id: school_class["id"], name: "x.pdf", bytes: 1, made_at: Vantick::Server::Clock.iso8601)
    store.scans.update(scan.id, state: "waiting")
    at_work(0) do
      eventually { store.jobs.find(left.id).state == "done" && store.scans.find(scan.id).state == "failed" }
      eventually { Dir[File.join(folder, "copies/day-*.sqlite3")].any? }
      expect(File.exist?(part)).to be(false)
      job = store.jobs.add("erasure", { kind: "child", id: 99 })
      pipe.last.write(".")
      eventually { store.jobs.find(job.id).state == "done" }
    end
  end

  it "does at another place what teachers wait for, and leaves all else to the first" do
    term = store.jobs.add("helps", { term_id: 99, plan_id: 1 })
    other = store.jobs.add("erasure", { kind: "child", id: 99 })
    at_work(1) { eventually { store.jobs.find(term.id).state == "done" } }
    expect(store.jobs.find(other.id).state).to eq("waiting")
    expect(Dir[File.join(folder, "copies/day-*.sqlite3")]).to eq([])
  end

  it "goes on after a mistake, and says so in the log" do
    calls = 0
    allow(Vantick::Server).to receive(:make_ready) { (calls += 1) == 1 ? raise(IOError) : nil }
    stub_const("#{described_class}::LOOK", 0.05)
    stub_const("#{described_class}::DAY", 0)
    at_work(0) { eventually { calls > 1 } }
    expect(log.string).to include("work beside requests stopped (IOError")
  end

  describe Vantick::Server::Work::Copies do
    it "knows the copies of a school that is gone, the newest with children first, and none where the school is there" do
      expect(described_class.left_behind(store.path)).to be_nil
      make_class
      made = [1, 2].map { |day| Vantick::Server::Work::DailyCopies.new(store).make(Date.new(2026, 3, day)) }
      path = store.path
      store.close
      @store = nil
      FileUtils.rm_f(Dir["#{path}*"])
      File.write(File.join(folder, "copies/day-2026-03-09.sqlite3"), "no copy at all, but long enough to be looked at as one" * 20)
      expect(described_class.left_behind(path)).to eq([made.last, 2])
      FileUtils.rm_f(made)
      expect(described_class.left_behind(path)).to be_nil
    end

    it "takes no copies of another school for its own" do
      make_class
      mine = Vantick::Server::Work::DailyCopies.new(store).make(Date.new(2026, 3, 1))
      other = Vantick::Server::Store::Database.open(File.join(Dir.mktmpdir, "other.sqlite3"))
      other.teachers.secret
      other.classes.add(name: "Dunlin", school: "", names: ["Zora"], made_at: "2026-01-01T00:00:00Z")
      Vantick::Server::Store::SafeCopy.write(other.db, File.join(folder, "copies/theirs.sqlite3"))
      other.close
      expect(described_class.all(store)).to eq([mine])
    end
  end
end
