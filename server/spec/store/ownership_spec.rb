# frozen_string_literal: true

RSpec.describe Vantick::Server::Store::Ownership do
  let(:db) { store.db }

  # The schema itself is asked: a pointer to a class, a child, a check and so on makes an owner.
  it "has each pointer of the school's file that says whose something is" do
    owners = %i[classes children checks items answers desks terms scans scan_pages]
    pointers = db.tables.to_h do |table|
      found = db.foreign_key_list(table).to_h { |key| [key[:columns].first, key[:table].to_sym] }
      [table, found.select { |column, to| owners.include?(to) && column != :corrects_id }]
    end
    # A check that is a lesson's exit does not own the lesson.
    pointers[:lessons].delete(:check_id)
    found = described_class::OWNERS.to_h { |table, columns| [table, columns.slice(*pointers.fetch(table).keys)] }
    expect(found.reject { |_, columns| columns.empty? }).to eq(pointers.reject { |_, columns| columns.empty? })
  end

  it "names columns that there are" do
    described_class::OWNERS.each { |table, columns| expect(db[table].columns).to include(*columns.keys), table.to_s }
  end

  it "finds the rows of an owner over any number of tables, and the class of a row" do
    db[:classes].insert(id: 7, name: "Curlew", made_at: "2026-12-01T08:00:00Z")
    db[:checks].insert(id: 5, class_id: 7, step: "fives", task: "dial_to_words", code: "AAAA", made_at: "2026-12-01T08:00:00Z")
    db[:items].insert(id: 3, check_id: 5, position: 0, time: "7:45")
    expect(described_class.rows(db, :items, :classes, [7]).select_map(:id)).to eq([3])
    expect(described_class.rows(db, :items, :classes, [8]).select_map(:id)).to eq([])
    expect(described_class.classes(db, :items, :id, [3, 4])).to eq([7])
    expect(described_class.classes(db, :checks, :code, ["AAAA"])).to eq([7])
    expect(described_class.columns(:items, :classes)).to eq(items: [:check_id], checks: [:class_id])
  end

  # A page that no name is read on yet has no child, and is the class's all the same.
  it "finds the class of a page and of a clock that are no child's" do
    db[:classes].insert(id: 7, name: "Curlew", made_at: "2026-12-01T08:00:00Z")
    db[:checks].insert(id: 5, class_id: 7, step: "fives", task: "dial_to_words", code: "AAAA", made_at: "2026-12-01T08:00:00Z")
    db[:items].insert(id: 3, check_id: 5, position: 0, time: "7:45")
    db[:scans].insert(id: 2, class_id: 7, name: "stack.pdf", bytes: 1, state: "read", made_at: "2026-12-01T08:00:00Z")
    db[:scan_pages].insert(id: 4, scan_id: 2, number: 1, state: "unnamed")
    expect(%i[items scan_pages].map { |table| described_class.rows(db, table, :classes, [7]).count }).to eq([1, 1])
    expect(described_class.classes(db, :scan_pages, :id, [4])).to eq([7])
  end

  it "says so where rows can be nobody's" do
    expect { described_class.rows(db, :forecasts, :children, [1]) }.to raise_error(ArgumentError, /forecasts belong to none of children/)
  end
end
