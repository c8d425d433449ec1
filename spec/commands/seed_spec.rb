# frozen_string_literal: true

RSpec.describe Vantick::Demo do
  let(:folder) { Dir.mktmpdir("seed") }
  let(:now) { Time.utc(2026, 11, 23, 12) }

  after { FileUtils.rm_rf(folder) }

  def school(name)
    store = Vantick::Server::Store::Database.open(File.join(folder, name))
    made = described_class.new(store, now:).seed
    yield store, made
  ensure
    store.close
  end

  def answers(store) = store.db[:answers].order(:id).select_map(%i[item_id child_id answer verdict])

  it "tells the same story every time" do
    stories = %w[one two].map { |name| school(name) { |store, _| answers(store) } }
    expect(stories.first).to eq(stories.last)
    expect(stories.first.length).to be > 300
  end

  it "is made up, and says so" do
    school("one") { |store, _| expect(store.classes.all).to contain_exactly(include(made_up: true, school: "Tern Quay School")) }
  end

  # As `bin/demo` shows it.
  it "has half a year behind it: lessons, checks, holidays, a lost week, children who came and one who left, and a term" do
    store = Vantick::Server::Store::Database.open(File.join(folder, "story"))
    demo = described_class.new(store, now:)
    expect([demo.tell, demo.tell]).to eq([true, false])
    term = store.terms.of_class(1)
    lessons = store.terms.plan(term.id).lessons
    expect(store.db[:checks].count).to be > 20
    expect(store.register.left(1).map { |child| child[:name] }).to eq(["Ivo"])
    expect(lessons.map { |lesson| lesson[:kind] }).to include("new", "again", "skipped", "open")
    expect(lessons.partition { |lesson| lesson[:day] < "2026-11-23" }.map(&:length)).to all(be > 15)
    demo.hire
    demo.lend
    expect(store.shares.of_class(1)).to contain_exactly(include(name: "Wietske", until: String))
    expect(store.db[:desks].where(kind: "exit").exclude(closed_at: nil).count).to be > 3
    off = term.days_off.flat_map { |one| (one[:from]..one[:to]).to_a }
    expect(lessons.map { |lesson| lesson[:day] } & off).to eq([])
    late = store.classes.find(1).children.find { |child| child[:name] == "Yusuf" }[:id]
    expect(store.answers.of_child(late).map { |answer| answer[:answered_at] }.min).to be > "2026-09-20"
    store.close
  end

  it "leaves a school that is there alone" do
    school("one") { |_, made| expect(made).to be(true) }
    school("one") { |store, made| expect([made, store.classes.all.length]).to eq([false, 1]) }
  end

  it "lies in the past, and has slips, an answer nobody can read, and two away" do
    school("one") do |store, _|
      last = store.checks.all(1, limit: 1).first
      current = store.answers.current([last[:id]])[last[:id]]
      expect(last[:made_at]).to eq("2026-11-17T12:00:00Z")
      expect(current.map { |answer| answer[:verdict] }).to include("right", "misread", "right_writing_slip", "unreadable")
      expect(current.map { |answer| answer[:child_id] }.uniq.length).to eq(24)
    end
  end
end
