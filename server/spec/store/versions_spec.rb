# frozen_string_literal: true

# A small file of each earlier version, as that version left it: each is opened by this one.
RSpec.describe Vantick::Server::Store::SchoolFile do
  folder = File.expand_path("../fixtures/versions", __dir__)
  files = Dir[File.join(folder, "*.sql")].to_h { |file| [File.basename(file, ".sql").to_i, file] }

  # What a new file has, table by table and column by column, in whatever order columns came.
  def shape(store)
    store.db.tables.sort.to_h do |table|
      [table, store.db.schema(table).to_h.transform_values do |column|
        column.slice(:db_type, :allow_null)
      end.sort]
    end
  end

  def laid(sql)
    path = File.join(Dir.mktmpdir, "school.sqlite3")
    SQLite3::Database.new(path) { |database| database.execute_batch(File.read(sql)) }
    path
  end

  it "has one of each version before the newest" do
    expect(files.keys.sort).to eq([*1...described_class.newest])
  end

  files.sort.each do |version, sql|
    it "opens one of version #{version}, with all that was in it, after a copy" do
      path = laid(sql)
      old = Vantick::Server::Store::Database.open(path)
      expect(shape(old)).to eq(shape(store))
      expect(old.db.fetch("PRAGMA foreign_key_check").all).to eq([])
      school_class = old.classes.all.first
      expect([school_class.name, school_class.children.map { |child| child[:name] }]).to eq(["Curlew", %w[Anneke Bram]])
      expect(old.answers.of_class(1).map { |answer| answer.slice(:time, :answer, :verdict, :step) })
        .to eq([{ time: "3:30", answer: "half past 3", verdict: "right", step: "quarters" },
                { time: "7:45", answer: "qt7", verdict: "misread", step: "quarters" }])
      expect(old.lessons.given(1).map { |lesson| lesson.plan[:step] }).to eq(version >= 3 ? ["quarters"] : [])
      expect(old.teachers.find("MARIT")[:login]).to eq("Marit") if version >= 7
      expect(Dir.children(File.join(File.dirname(path), "copies"))).to eq(["before-upgrade-from-#{version}.sqlite3"])
    ensure
      old&.close
    end
  end
end
