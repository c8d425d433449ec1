# frozen_string_literal: true

# A small file of each earlier version, as that version left it: each is opened by this one.
RSpec.describe Vantick::Server::Store::SchoolFile do
  known = YAML.safe_load_file(File.expand_path("../fixtures/versions.yml", __dir__), symbolize_names: true).freeze
  migrations = Vantick::Server::Store::Database::MIGRATIONS

  # What a new file has, table by table and column by column, in whatever order columns came.
  def shape(store)
    store.db.tables.sort.to_h do |table|
      [table, store.db.schema(table).to_h.transform_values do |column|
        column.slice(:db_type, :allow_null)
      end.sort]
    end
  end

  # A file as a version left it, its name known to nothing yet.
  define_method(:laid) do |version, digest|
    path = File.join(Dir.mktmpdir, "school.sqlite3")
    raw = Sequel.sqlite(path, max_connections: 1)
    Sequel::IntegerMigrator.new(raw, migrations, target: version).run
    expect(schema(raw)).to eq(digest)
    raw.run("PRAGMA foreign_keys = OFF")
    known[:rows].select { |row| row[:since] <= version }.each do |row|
      raw[row[:table].to_sym].insert(row[:row].slice(*raw[row[:table].to_sym].columns))
    end
    raw.disconnect
    path
  end

  def schema(raw)
    tables = raw[:sqlite_master].exclude(Sequel.like(:name, "sqlite_%")).select_map(%i[type name sql])
    told = tables.map { |type, name, sql| [type, name, sql.to_s.gsub(/\s+/, " ")] }.sort_by { |one| one.first(2) }
    Digest::SHA256.hexdigest(told.inspect)[0, 12]
  end

  it "knows of each version before the newest" do
    expect(known[:schemas].keys.map { |key| key.to_s.to_i }).to eq([*1...described_class.newest])
  end

  Thorough.some(known[:schemas].to_a, 12).each do |key, digest|
    version = key.to_s.to_i

    it "opens one of version #{version}, with all that was in it, after a copy" do
      path = laid(version, digest)
      old = Vantick::Server::Store::Database.open(path)
      expect(shape(old)).to eq(shape(store))
      expect(old.db.fetch("PRAGMA foreign_key_check").all).to eq([])
      school_class = old.classes.all.first
      expect([school_class.name, school_class.children.map { |child| child[:name] }]).to eq(["Curlew", %w[Anneke Bram]])
      expect(old.answers.of_class(1).map { |answer| answer.slice(:time, :answer, :verdict, :step) })
        .to eq([{ time: "3:30", answer: "half past 3", verdict: "right", step: "quarters" },
                { time: "7:45", answer: "qt7", verdict: "misread", step: "quarters" }])
      expect(old.lessons.taught(1).map { |lesson| lesson.plan.step }).to eq(version >= 3 ? ["quarters"] : [])
      expect(old.teachers.find("MARIT")[:login]).to eq("Marit") if version >= 7
      expect(Dir.children(File.join(File.dirname(path), "copies"))).to eq(["before-upgrade-from-#{version}.sqlite3"])
    ensure
      old&.close
    end
  end

  it "lets a lesson that was planned before keep its clocks" do
    path = laid(26, known[:schemas].fetch(26))
    raw = Sequel.sqlite(path, max_connections: 1)
    times = Vantick::Core::Curriculum::Step.find(:fives).pool.first(86)
    counts = { warm_up: 14, recap: 16, show: 8, together: 12, alone: 18, exit: 6 }
    kept = counts.transform_values { |count| times.shift(count).map(&:to_s) }
    plan = { step: "fives", task: "dial_to_words", minutes: 40, seed: 1, kept: }
    raw[:lessons].update(plan: JSON.generate(plan))
    raw.disconnect
    old = Vantick::Server::Store::Database.open(path)
    found = Vantick::Core::Teaching::LessonPlan.new(old.lessons.find(1).plan, Vantick::Core::Wording::Conventions.default).lesson
    expect(found.stages.to_h { |stage| [stage.id, stage.items.filter_map(&:time).map(&:to_s)] }).to eq(kept)
  ensure
    old&.close
  end
end
