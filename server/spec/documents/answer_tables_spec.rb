# frozen_string_literal: true

# RFC 4180, "Common Format and MIME Type for Comma-Separated Values (CSV) Files" (2005), section 2, rule by rule, from memory.
RSpec.describe Vantick::Server::Documents::AnswerTables do
  let(:made_at) { "2026-01-01T00:00:00Z" }
  let(:school_class) { store.classes.add(name: "Curlew", school: "", names: ["Bo", "Ida \"Idi\" K.", "Tom, the tall"], made_at:) }
  let(:check) { store.checks.add(class_id: school_class.id, step: "quarters", task: "dial_to_words", times: %w[3:00 7:45], made_at:) }

  # By child and clock, what was taken from a table.
  def taken(text)
    names = school_class.children.to_h { |child| [child.id, child.name] }
    clocks = check.items.map(&:id)
    rows = described_class.read(text, check, school_class)
    rows.to_h { |row| [[names.fetch(row[:child_id]), clocks.index(row[:item_id]) + 1], row[:answer]] }
  end

  {
    "rule 1, a record a line, lines ended by CRLF" => ["Bo,3o,qt8\r\n", { ["Bo", 1] => "3o", ["Bo", 2] => "qt8" }],
    "rule 2, the last line without an end" => ["Bo,3o\r\nBo2,x".sub("\r\nBo2,x", ""), { ["Bo", 1] => "3o" }],
    "rule 3, a line of names before all others" => ["name,clock 1,clock 2\r\nBo,3o,qt8\r\n", { ["Bo", 1] => "3o", ["Bo", 2] => "qt8" }],
    "rule 4, fewer fields than clocks" => ["Bo,,qt8\r\n", { ["Bo", 2] => "qt8" }],
    "rule 5, fields in quotation marks" => ["\"Bo\",\"3o\",\"qt8\"\r\n", { ["Bo", 1] => "3o", ["Bo", 2] => "qt8" }],
    "rule 6, a comma and a line's end within quotation marks" => ["\"Tom, the tall\",\"3\no\"\r\n", { ["Tom, the tall", 1] => "3\no" }],
    "rule 7, a quotation mark doubled within quotation marks" => ["\"Ida \"\"Idi\"\" K.\",3o\r\n", { ["Ida \"Idi\" K.", 1] => "3o" }]
  }.each do |rule, (text, found)|
    it("reads #{rule}") { expect(taken(text)).to eq(found) }
  end

  it "writes lines that the standard's rules lead back to what was given, read by Ruby's own strict reader" do
    answers = school_class.children.map do |child|
      Struct.new(:child_id, :item_id, :answer).new(child.id, check.items.first.id, "three, \"o'clock\"\n=1+1")
    end
    text = described_class.csv(check, school_class, answers)
    rows = CSV.parse(text)
    expect(rows.map(&:length).uniq).to eq([3])
    expect(rows.drop(1).map(&:first)).to eq(school_class.children.map(&:name))
    expect(taken(text).values.uniq).to eq(["three, \"o'clock\"\n=1+1"])
  end
end
