# frozen_string_literal: true

require "csv"

RSpec.describe Vantick::Server::Documents::AnswerTables do
  let(:check) { make_check(make_class(%w[Anneke Bram]), count: 3) }
  let(:address) { "/api/checks/#{check['id']}" }
  let(:rights) { check["items"].map { |item| item["right"] } }

  def take(table) = post("#{address}/tables", { table: })

  it "come in from a spreadsheet, with or without a head, and out again as they were" do
    taken = take("child\tclock 1\tclock 2\tclock 3\r\nbram\t#{rights.join("\t")}\r\nAnneke\tqt8\t\t-\r\n")
    expect(taken.status).to eq(201)
    expect(taken.body["answers"].map { |answer| answer["verdict"] }.tally).to include("right" => 3)
    expect(taken.body["answers"].length).to eq(5)
    written = plain("#{address}/answers.csv").body.force_encoding(Encoding::UTF_8)
    expect(written).to start_with("\uFEFF")
    table = CSV.parse(written.delete_prefix("\uFEFF"))
    expect(table).to eq([["child", "clock 1", "clock 2", "clock 3"], ["Anneke", "qt8", nil, "-"], ["Bram", *rights]])
    expect(take(table.map(&:to_csv).join).status).to eq(201)
  end

  it "say of who came later that they were not here then, and take that for no answer" do
    take("child,clock 1,clock 2,clock 3\nBram,qt8,,-\n")
    allow(Vantick::Server::Clock).to receive(:now).and_return(Time.now.utc + 86_400)
    post("/api/classes/#{check['class_id']}/children", { names: ["Cem"] })
    written = plain("#{address}/answers.csv").body.force_encoding(Encoding::UTF_8)
    expect(CSV.parse(written.delete_prefix("\uFEFF")).drop(1))
      .to eq([["Anneke", nil, nil, nil], ["Bram", "qt8", nil, "-"], ["Cem", *(["not here then"] * 3)]])
    expect(take(written).status).to eq(201)
    expect(store.answers.current([check["id"]])[check["id"]].map(&:child_id).uniq.length).to eq(1)
  end

  it "find children without regard to case and accents" do
    check = make_check(make_class(["Zoë", "Åsa Ö"]), count: 2)
    taken = post("/api/checks/#{check['id']}/tables", { table: "zoe,qt8\nASA O,7:45" })
    expect(taken.body["answers"].map { |answer| answer["child_id"] }).to eq(check["children"].map { |child| child["id"] })
  end

  it "come in with semicolons and quotation marks" do
    expect(take(%("Anneke";"qt8";"7:45";"half past 3")).body["answers"].length).to eq(3)
  end

  # What spreadsheets and hands make of a table of two children and three clocks.
  {
    "columns in another order" => "clock 2,child,clock 3,clock 1\n7:46,Bram,7:47,7:45",
    "clocks by number" => "name;3;1;2\nBram;7:47;7:45;7:46",
    "a mark of UTF-8 and the sign between cells" => "\uFEFFsep=;\nBram;7:45;7:46;7:47",
    "empty lines, and lines of empty cells" => "\n\nBram,7:45,7:46,7:47\n,,,\n\n",
    "spaces that do not break" => "\u00a0Bram\u00a0,7:45\u00a0,7:46,\u00a07:47", "seconds" => "Bram,7:45:00,7:46:00,07:47:00",
    "parts of a day" => "Bram,0.322916666666667,0.323611111111111,.324305555555556"
  }.each do |what, table|
    it "come in with #{what}" do
      bram = check["children"].last["id"]
      answers = take(table).body["answers"].sort_by { |answer| check["items"].index { |item| item["id"] == answer["item_id"] } }
      expect(answers.map { |answer| answer["child_id"] }).to eq([bram] * 3)
      expect(answers.map { |answer| answer["answer"].delete_prefix("0") }).to eq(%w[7:45 7:46 7:47])
    end
  end

  it "are refused by their first row that is wrong, however many there are" do
    rows = ["child,clock 1,clock 2,clock 3", *Array.new(1_000) { |at| "Somebody #{at},7:45,7:46,7:47" }].join("\n")
    expect(take(rows)).to be_refused(422).at("table").saying(/Row 2: no child/)
  end

  it "have the nought that a spreadsheet took from a class's way of writing, and names with any apostrophe" do
    of = make_class(["D'Arcy", "Ana"])
    put("/api/classes/#{of['id']}/conventions", { conventions: { separator: "point" } })
    check = make_check(of, count: 2)
    answers = post("/api/checks/#{check['id']}/tables", { table: "D’Arcy;8.3;8.05" }).body["answers"]
    expect(answers.map { |answer| answer["answer"] }).to eq(["8.30", "8.05"])
  end

  {
    "child,clock 1,clock 2\nBram,1,2" => /no column for clock 3/, "child,clock 1,clock 1,clock 2\nBram,1,1,2" => /clock 1 has two columns/,
    "child,clock 1,height\nBram,1,2" => /"height" is not a clock/
  }.each do |table, words|
    it("are refused by their line of names: #{words.source}") {
      expect(take(table)).to be_refused(422).at("table").saying(/Row 1: .*#{words}/)
    }
  end

  it "are not taken at all where one row cannot be, and it is named" do
    expect(take("Anneke,qt8\nZora,qt8")).to be_refused(422).at("table").saying(/Row 2: no child in the class is called "Zora"/)
    expect(take("Anneke,1,2,3,4")).to be_refused(422).at("table").saying(/more answers than the 3 clocks/)
    expect(take("Anneke,#{'x' * 300}")).to be_refused(422).at("answer")
    expect(take(%("Anneke,qt8))).to be_refused(422).at("table").saying(/quotation marks/)
    expect(get(address).body["answers"]).to eq([])
  end

  it "take a child once, and are in at once however long they are" do
    expect(take("Anneke,qt8\n\nBram,qt8\nanneke,7:45")).to be_refused(422).at("table").saying(/Row 4: Anneke is already in row 1/)
    flood = Array.new(7_000) { "Bram,1" }.join("\n")
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    expect(take(flood)).to be_refused(422).at("table").saying(/Row 2: Bram is already in row 1/)
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < 5
  end

  it "correct what was there, each answer once" do
    take("Anneke,qt8,7:45,2:30")
    take("Anneke,qp8,7:45")
    rows = store.db[:answers].order(:id).select_map(%i[answer corrects_id])
    expect(rows).to eq([["qt8", nil], ["7:45", nil], ["2:30", nil], ["qp8", 1], ["7:45", 2]])
  end

  # What a spreadsheet would take for a formula, in a file with whatever sign between cells.
  def formulas(csv)
    cells = [",", ";", "\t"].flat_map { |sign| csv.lines.flat_map { |line| line.chomp.delete('"').split(sign) } }
    cells.grep(/\A[[:space:]]*[=+@＝＋＠－-]./)
  end

  it "hold no formula for a spreadsheet, in names and in answers, and come back in as they were" do
    nasty = ["=1+1", "+1", "-1+1", "@SUM(A1)", "\t=1+1", "\r\n=1+1", "  =1", "＝1+1", "＋1", "－1", "＠a", "a;=1+1", "a\t=2", "a,+3", "'=1",
             "''=1", "-", "7:45"]
    school_class = make_class(["=cmd()", "+Bo", "@Cy", "Di;=1"])
    check = make_check(school_class, count: 5)
    places = school_class["children"].product(check["items"])
    nasty.zip(places).each { |text, (child, item)| answer(check, child, item, text) }
    address = "/api/checks/#{check['id']}"
    before = store.answers.current([check["id"]])[check["id"]].to_h { |one| [one.values_at(:child_id, :item_id), one[:answer].strip] }
    csv = plain("#{address}/answers.csv").body.force_encoding(Encoding::UTF_8)
    expect(formulas(csv)).to be_empty
    expect(post("#{address}/tables", { table: csv }).status).to eq(201)
    after = store.answers.current([check["id"]])[check["id"]].to_h { |one| [one.values_at(:child_id, :item_id), one[:answer].strip] }
    expect(after).to eq(before)
  end

  describe "overruling" do
    let(:given) { answer(check, check["children"].first, check["items"].first, "banana split").body }

    def overrule(verdict) = post("/api/answers/#{given['id']}/overrides", { verdict: })

    it "says of each verdict whether it counts as right in the class: what is near does, the right gap does not" do
      counted = Vantick::Core::Marking::MarkedAnswer::VERDICTS.to_h { |verdict| [verdict.to_s, overrule(verdict.to_s)] }
      told = counted.select { |_, reply| reply.status == 200 }.transform_values { |reply| reply.body["right"] }
      right = %w[right right_other_words right_writing_slip near]
      expect(told.select { |_, one| one }.keys).to match_array(told.keys & right)
      expect(told).to include("right" => true, "unexplained" => false)
    end

    it "puts a teacher's verdict in the place of the first, which stays beside it, and takes it back" do
      expect(given["verdict"]).to eq("unreadable")
      expect(overrule("right").body).to include("verdict" => "right", "first_verdict" => "unreadable")
      expect(get(address).body["answers"].first).to include("verdict" => "right", "first_verdict" => "unreadable")
      expect(get("#{address}/findings").body["children"].first).to include("right" => 1, "unreadable" => 0)
      expect(overrule(nil).body).to include("verdict" => "unreadable")
    end

    it "refuses other verdicts and answers there are not" do
      expect(overrule("splendid")).to be_refused(400).at("verdict")
      expect(post("/api/answers/#{SecureRandom.uuid}/overrides", { verdict: "right" })).to be_refused(404).at("answer_id")
    end
  end

  it "offers pictures of what may have been drawn, the right one first, each of which is marked as it is called" do
    made = post("/api/classes/#{check['class_id']}/sheets", { kind: "draw", step: "quarters", count: 3 }).body
    sheet = get("/api/checks/#{made['check_id']}").body
    item = sheet["items"].last
    expect(item["drawings"].length).to be > 2
    marked = item["drawings"].map { |drawing| answer(sheet, sheet["children"].first, item, drawing["answer"]).body }
    expect(marked.map { |one| one["verdict"] }).to eq(["right", *["misread"] * (marked.length - 1)])
  end
end
