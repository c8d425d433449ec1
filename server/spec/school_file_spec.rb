# frozen_string_literal: true

RSpec.describe Vantick::Server::Store::SchoolFile do
  let(:path) { File.join(folder, "school.sqlite3") }
  let(:database) { Vantick::Server::Store::Database }

  def connected(file = path)
    raw = Sequel.connect(adapter: "sqlite", database: file)
    yield raw
  ensure
    raw&.disconnect
  end

  # A file as an older Vantick left it.
  def at_version(version)
    connected do |raw|
      Sequel::IntegerMigrator.new(raw, database::MIGRATIONS, target: version).run
      raw[:classes].insert(name: "Curlew", made_at: "2026-01-01T00:00:00Z")
      raw[:accounts].insert(login: "Marit") if version >= 7
    end
  end

  def mode(file) = File.stat(file).mode & 0o777

  def unusable(why) = raise_error(Vantick::Server::Store::Unusable) { |error| expect(error.why).to eq(why) }

  # Told of every statement; kills its process at the n-th.
  def killer(statement)
    left = statement
    Object.new.tap do |logger|
      kill = lambda do |_text|
        left -= 1
        Process.kill(:KILL, Process.pid) if left.zero?
      end
      %i[debug info warn error].each { |level| logger.define_singleton_method(level, &kill) }
    end
  end

  # @return [Boolean] whether it came through to the end
  def opened_and_killed_at(statement)
    pid = fork do
      database.open(path, loggers: [killer(statement)]).close
      exit!(0)
    end
    Process.wait2(pid).last.success?
  end

  # At some statements, each time others: each is a start of its own.
  def killed_everywhere
    apart = Thorough.of(1, 9)
    statement = rand(1..apart)
    loop do
      yield
      came_through = opened_and_killed_at(statement)
      store = database.open(path)
      expect(store.db[:schema_info].get(:version)).to eq(described_class.newest), "killed at statement #{statement}"
      yield store
      store.close
      Dir.glob("#{path}*").each { |file| File.delete(file) }
      break if came_through

      statement += apart
    end
    statement
  end

  it "is whole after a power cut at any statement of a first start" do
    expect(killed_everywhere { nil }).to be > 30
  end

  it "is whole, with all that was in it, after a power cut at any statement of an upgrade" do
    count = killed_everywhere { |store| store ? expect(store.db[:classes].count).to(eq(1)) : at_version(6) }
    expect(count).to be > 15
  end

  it "is copied before it is brought up, once, as it was" do
    at_version(8)
    database.open(path).close
    copies = Dir.glob(File.join(folder, "copies/*"))
    expect(copies.map { |copy| File.basename(copy) }).to eq(["before-upgrade-from-8.sqlite3"])
    connected(copies.first) { |copy| expect([copy[:schema_info].get(:version), copy[:accounts].get(:login)]).to eq([8, "Marit"]) }
    expect(database.open(path).tap(&:close).db[:accounts].get(:folded)).to eq("marit")
  end

  it "opens for several starts at once, new or old" do
    [0, 8].each do |version|
      at_version(version) if version.positive?
      pids = Array.new(4) { fork { database.open(path).close && exit!(0) } }
      expect(pids.map { |pid| Process.wait2(pid).last.exitstatus }).to eq([0, 0, 0, 0])
      Dir.glob("#{path}*").each { |file| File.delete(file) }
    end
  end

  it "is for its owner alone, with everything beside it, also where it was not before" do
    at_version(8)
    File.chmod(0o644, path)
    store = database.open(path)
    store.classes.add(name: "Curlew", school: "", names: ["Bo"], made_at: "2026-01-01T00:00:00Z")
    files = Dir.glob(File.join(folder, "**/*")).select { |file| File.file?(file) }
    expect(files.length).to be >= 5
    expect(files.to_h { |file| [File.basename(file), mode(file)] }.values.uniq).to eq([0o600])
    store.close
    Dir.mktmpdir do |fresh|
      database.open(File.join(fresh, "data/new.sqlite3")).close
      expect([mode(File.join(fresh, "data")), mode(File.join(fresh, "data/new.sqlite3"))]).to eq([0o700, 0o600])
    end
  end

  it "says what to do where it is damaged, newer, another program's, half made, or not to be written" do
    File.write(path, "not a database at all, but long enough to be looked at as if it were one" * 20)
    expect { database.open(path) }.to unusable(:corrupt)
    File.delete(path)
    connected { |raw| raw.create_table(:recipes) { primary_key :id } }
    expect { database.open(path) }.to unusable(:foreign)
    File.delete(path)
    at_version(8)
    connected { |raw| raw[:schema_info].update(version: 99) }
    expect { database.open(path) }.to unusable(:newer)
    connected { |raw| raw[:schema_info].update(version: 7) }
    expect { database.open(path) }.to unusable(:half_made)
    expect { database.open(folder) }.to unusable(:unwritable)
    expect { database.open(File.join(path, "inside.sqlite3")) }.to unusable(:unwritable)
  end

  it "finds damage in the middle" do
    at_version(8)
    size = File.size(path)
    File.open(path, "r+b") { |file| file.seek(4096) && file.write("\x00" * (size - 8192)) }
    expect { database.open(path) }.to unusable(:corrupt)
  end

  describe Vantick::Server::Store::SafeCopy do
    let(:copy) { File.join(folder, "copy.sqlite3") }

    def school = store.classes.add(name: "Curlew", school: "", names: ["Bo"], made_at: "2026-01-01T00:00:00Z")

    it "copies while Vantick runs, everything, for its owner alone, and never over another copy" do
      school
      described_class.backup(path, copy)
      newest = Vantick::Server::Store::SchoolFile.newest
      connected(copy) { |raw| expect([raw[:children].get(:name), raw[:schema_info].get(:version)]).to eq(["Bo", newest]) }
      expect([mode(copy), Dir.children(folder).grep(/part/)]).to eq([0o600, []])
      expect { described_class.backup(path, copy) }.to raise_error(described_class::Failed, /is already there/)
      expect { described_class.backup(File.join(folder, "none"), copy) }.to raise_error(described_class::Failed, /no file/)
    end

    it "puts a copy back, keeps what was there, and refuses what is no copy or while somebody works with the file" do
      school
      described_class.backup(path, copy)
      store.db[:classes].update(name: "Dunlin")
      expect { described_class.restore(copy, path, stamp: "x") }.to unusable(:busy)
      store.close
      before = described_class.restore(copy, path, stamp: "x")
      names = [path, before].map { |file| connected(file) { |raw| raw[:classes].get(:name) } }
      expect(names).to eq(%w[Curlew Dunlin])
      File.write(copy, "no copy")
      expect { described_class.restore(copy, path, stamp: "y") }.to unusable(:corrupt)
      File.write(copy, "")
      expect { described_class.restore(copy, path, stamp: "y") }.to unusable(:foreign)
      @store = database.open(path)
      expect(store.db[:classes].get(:name)).to eq("Curlew")
    end

    it "is made each day once; seven days are kept, and the last copy of each of the four weeks before" do
      school
      work = Vantick::Server::Work::DailyCopies.new(store)
      days = Array.new(60) { |number| Date.new(2026, 3, 1) + number }
      expect(days.map { |day| work.make(day) }).to all(be_a(String))
      expect(work.make(days.last)).to be_nil
      # The last is Wed 29 April; the week of the seventh day before it ends there, the others on Sundays.
      weeks = %w[04-02 04-05 04-12 04-19 04-22].map { |day| Date.parse("2026-#{day}") }.last(4) # worked out by hand
      kept = weeks + days.last(7)
      expect(Dir.children(File.join(folder, "copies")).sort).to eq(kept.map { |day| "day-#{day.iso8601}.sqlite3" })
    end

    it "is proved by opening and counting it, lies in a second folder as well, and loses pictures that are past their days" do
      another = Dir.mktmpdir
      ENV["VANTICK_COPIES"] = another
      made = school
      scan = store.scans.add(class_id: made.id, name: "x.pdf", bytes: 3, made_at: (Time.now.utc - (29 * 86_400)).iso8601)
      store.scans.update(scan.id, state: "reading")
      store.scans.add_pages(scan.id, [{ number: 1, state: "unfound", words: "", picture: "zyphers of a page" }])
      work = Vantick::Server::Work::DailyCopies.new(store)
      work.make(Date.new(2026, 3, 2))
      expect(store.school.proved_copy).to include(children: 1)
      copies = [File.join(folder, "copies"), another].map { |to| File.join(to, "day-2026-03-02.sqlite3") }
      expect(copies.map { |copy| File.binread(copy).include?("zyphers") }).to eq([true, true])
      Vantick::Server::Clock.set(Time.now + (2 * 86_400))
      work.make(Date.new(2026, 3, 3))
      expect(copies.map { |copy| File.binread(copy).include?("zyphers") }).to eq([false, false])
      copies.each { |copy| connected(copy) { |raw| expect([raw[:children].get(:name), raw[:scans].count]).to eq(["Bo", 0]) } }
    ensure
      ENV.delete("VANTICK_COPIES")
      Vantick::Server::Clock.set(nil)
    end

    it "wants as much room again as the file takes, and says so where there is none" do
      school
      allow(described_class).to receive(:free).and_return(1024)
      expect { described_class.write(store.db, File.join(folder, "copy.sqlite3")) }.to unusable(:full)
      expect(Dir.children(folder)).not_to include("copy.sqlite3")
      allow(described_class).to receive(:free).and_call_original
      expect(described_class.free(folder)).to be > 0
      expect(described_class.free(File.join(folder, "nowhere"))).to be_nil
    end

    it "is not put in the place of another school's file unless that is meant" do
      school
      store.teachers.secret
      copy = described_class.write(store.db, File.join(folder, "other.sqlite3"))
      Sequel.connect(adapter: "sqlite", database: copy) { |other| other[:secrets].update(secret: "another school's") }
      store.close
      expect { described_class.restore(copy, path, stamp: "z") }.to raise_error(described_class::Failed, /another school/)
      expect(described_class.restore(copy, path, stamp: "z", other: true)).to end_with(".before-restore-z")
      @store = database.open(path)
      expect(store.db[:secrets].get(:secret)).to eq("another school's")
    end
  end

  describe Vantick::Server::Store::WriteSerializer do
    it "lets nobody wait for ever while another program holds the file, and the others hardly at all" do
      store.classes.add(name: "Curlew", school: "", names: ["Bo"], made_at: "2026-01-01T00:00:00Z")
      connected do |other|
        other.transaction(mode: :immediate) do
          began = described_class.now
          waits = Array.new(8) { Thread.new { wait_to_write } }.map(&:value)
          expect(waits.map(&:class)).to all(be <= StandardError)
          expect(described_class.now - began).to be < described_class::PATIENCE * 2
        end
      end
      sleep described_class::HELD_FOR
      expect(wait_to_write).to eq(1)
    end

    def wait_to_write
      store.db.transaction { store.db[:classes].update(name: "Dunlin") }
    rescue Vantick::Server::Store::Busy, Sequel::DatabaseError => e
      e
    end
  end
end
