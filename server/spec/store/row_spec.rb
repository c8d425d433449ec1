# frozen_string_literal: true

require_relative "../../../demo/seed"

RSpec.describe Vantick::Server::Store::Row do
  let(:now) { Time.utc(2026, 11, 20, 9) }
  let(:school_class) do
    Vantick::Demo.new(store, now:).seed
    store.classes.all.first
  end
  let(:checks) { store.checks.all(school_class.id, limit: 10) }
  let(:desk) { store.desks.open({ class_id: school_class.id, check_id: checks.first.id, kind: "exit", child_ids: [1, 2] }, now) }
  let(:seat) { store.desks.seat(store.desks.sit(desk.id, 1, step: "quarters", at: now.iso8601), now) }

  # One or more of everything that leaves the store.
  def rows
    turn = Vantick::Core::Desk::Turn.new(task: Vantick::Core::Tasks::Task.find("dial_to_words"),
                                         step: Vantick::Core::Curriculum::Step.find("quarters"),
                                         times: [Vantick::Core::Dial::DialTime.parse("7:45")], reason: :tells)
    asked = store.turns.add(seat, turn, ahead: false, at: now.iso8601)
    gone = Vantick::Server::Store::Removing.lesson(store, store.lessons.all(1, limit: 5).last, now.iso8601)
    parts = [{ kind: "exit", check_id: checks.first.id }]
    stack = store.stacks.add(class_id: 1, day: "2026-11-20", lesson_id: 1, parts:, made_at: now.iso8601)
    [*scanned, *term, stack, gone, store.jobs.add("paper", { of: [1] }), school_class, *school_class.children,
     store.classes.plain(1), store.classes.child(1), *store.classes.children(1), *checks, *checks.flat_map(&:items),
     desk, seat, asked, *store.turns.open(seat), *asked.items, *store.lessons.all(1, limit: 5), *store.answers.of_class(1),
     *store.answers.current(checks.map(&:id)).values.flatten, *store.answers.last_of_each(checks.first.id, 3).values.flatten]
  end

  def term
    term = store.terms.set(1, first_day: "2026-11-02", last_day: "2026-12-18", weekdays: { monday: 45 }, days_off: [], aim: "fives",
                              aim_day: "2026-12-18", changed_at: now.iso8601)
    told = { children: 26, points: [] }
    plan = store.terms.add(term.id, made_at: now.iso8601, cause: "set", lessons: [{ day: "2026-11-02" }], known_of: "1/2/3", forecast: told)
    [term, plan]
  end

  def scanned
    scan = store.scans.add(class_id: 1, name: "stack.pdf", bytes: 3, made_at: now.iso8601)
    store.scans.update(scan.id, state: "reading")
    piece = { item_id: 1, child_id: 1, kind: "hands", seen: "", sure: 0, guesses: "[\"hour=0 minute=0\"]", picture: Sequel.blob("x") }
    known = { check_id: checks.last.id, child_id: 1, page: 1, corners: [[0, 0]] }
    page = { number: 1, state: "read", words: "", picture: "x", pieces: [piece], **known }
    store.scans.add_pages(scan.id, [page])
    [scan, *store.scans.pages(scan.id), *store.pieces.pieces(checks.last.id)]
  end

  # Everything in a value, down to what lies in lists.
  def parts(value)
    within = { Hash => :values, Array => :itself }.fetch(value.class, nil)
    [value, *(within ? value.public_send(within).flat_map { |one| parts(one) } : [])]
  end

  it "holds what its class says, of every kind that there is" do
    found = rows
    kinds = Vantick::Server::Store::Rows.constants.map { |name| Vantick::Server::Store::Rows.const_get(name) }
    expect(found.map(&:class).uniq).to match_array(kinds)
    expect { found.each { |row| row.class.new(row.to_hash) } }.not_to raise_error
  end

  it "is frozen with all that lies in it" do
    found = rows
    plain = found.flat_map { |row| row.to_hash.values.flat_map { |value| parts(value) } }
    expect(found).to all(be_frozen)
    expect(plain.select { |one| one.is_a?(Hash) || one.is_a?(Array) }).to all(be_frozen)
    expect { school_class.conventions[:sign] = "." }.to raise_error(FrozenError)
  end

  it "is another one where something changes, and raises at a name that is none" do
    other = seat.with(round: 2)
    expect([seat.round, other.round]).to eq([1, 2])
    expect(other).not_to eq(seat)
    expect(other.with(round: 1)).to eq(seat)
    expect { seat[:rounds] }.to raise_error(Dry::Struct::MissingAttributeError)
  end

  it "is JSON as a hash is" do
    expect(JSON.parse(JSON.generate([desk]), symbolize_names: true)).to eq([desk.to_hash])
  end
end
