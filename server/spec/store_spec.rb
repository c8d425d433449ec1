# frozen_string_literal: true

RSpec.describe Vantick::Server::Store::Database do
  let(:school_class) { store.classes.add(name: "Curlew", school: "", names: %w[Bo], made_at: "2026-01-01T00:00:00Z") }
  let(:check) do
    store.checks.add(class_id: school_class[:id], step: "quarters", task: "dial_to_words", times: %w[7:45], made_at: "2026-01-01T00:00:00Z")
  end

  def given(**change)
    { uuid: SecureRandom.uuid, item_id: check[:items].first[:id], child_id: school_class[:children].first[:id], answer: "qt8", **change }
  end

  def marked
    Vantick::Core::Marking::Marker.mark(task: Vantick::Core::Tasks::Task.find("dial_to_words"),
                                        time: Vantick::Core::Dial::DialTime.parse("7:45"),
                                        text: "qt8")
  end

  def add(given) = store.answers.add(given, marked, answered_at: "2026-01-01T00:00:00Z")

  it "keeps an answer for nobody and for no clock out" do
    expect { add(given(child_id: 99)) }.to raise_error(Sequel::ForeignKeyConstraintViolation)
    expect { add(given(item_id: 99)) }.to raise_error(Sequel::ForeignKeyConstraintViolation)
  end

  it "keeps every table strict" do
    expect { store.db[:children].insert(class_id: school_class[:id], name: "Di", position: "last") }.to raise_error(Sequel::DatabaseError)
    tables = store.db[:sqlite_master].where(type: "table").exclude(name: %w[schema_info sqlite_sequence]).select_map(:sql)
    expect(tables).to all(match(/STRICT\z/i))
  end

  it "writes through, with a log, checking relations" do
    pragma = ->(name) { store.db.fetch("PRAGMA #{name}").single_value }
    expect([pragma["journal_mode"], pragma["foreign_keys"], pragma["synchronous"]]).to eq(["wal", 1, 2])
  end

  it "lets an answer be corrected once only, in a row after it" do
    add(given)
    add(given(answer: "other"))
    first = store.db[:answers].min(:id)
    expect { store.db[:answers].insert(**store.db[:answers].first, id: 9, uuid: "x", corrects_id: first) }
      .to raise_error(Sequel::UniqueConstraintViolation)
  end

  it "finds its way by an index to the answers of a check, a child and a class" do
    plan = ->(dataset) { store.db.fetch("EXPLAIN QUERY PLAN #{dataset.sql}").map { |row| row[:detail] }.join("; ") }
    expect(plan[store.db[:answers].where(item_id: 1, child_id: 1)]).to match(/USING (COVERING )?INDEX/)
    expect(plan[store.db[:checks].where(class_id: 1).reverse(:id)]).to include("USING INDEX")
    expect(plan[store.db[:children].where(class_id: 1)]).to include("INDEX")
  end

  it "says which mistakes are its own, as a problem, and shows nothing of the inside" do
    cookie
    allow(store).to receive(:classes).and_raise("password=secret")
    log = StringIO.new
    @app = Rack::MockRequest.new(Vantick::Server.app(store:, web: folder, log:))
    answer = get("/api/classes")
    expect(answer.status).to eq(500)
    expect(answer.body).to include("title" => "Something went wrong", "field" => nil)
    expect(answer.body.to_s).not_to match(/secret|RuntimeError/)
    # The place within Vantick, and no folder of the machine.
    expect(log.string).to match(%r{\AVantick: RuntimeError at GET /api/classes, in vantick/server/views/\w+\.rb:\d+})
    expect(log.string).not_to include("secret")
  end
end
