# frozen_string_literal: true

require "csv"

RSpec.describe Vantick::Server::Api::AnswerTables do
  let(:check) { make_check(make_class(%w[Anneke Bram]), count: 3) }
  let(:address) { "/api/checks/#{check['id']}" }
  let(:rights) { check["items"].map { |item| item["right"] } }

  def take(table) = post("#{address}/tables", { table: })

  it "come in from a spreadsheet, with or without a head, and out again as they were" do
    taken = take("child\tclock 1\tclock 2\tclock 3\r\nbram\t#{rights.join("\t")}\r\nAnneke\tqt8\t\t-\r\n")
    expect(taken.status).to eq(201)
    expect(taken.body["answers"].map { |answer| answer["verdict"] }.tally).to include("right" => 3)
    expect(taken.body["answers"].length).to eq(5)
    table = CSV.parse(plain("#{address}/answers.csv").body)
    expect(table).to eq([["child", "clock 1", "clock 2", "clock 3"], ["Anneke", "qt8", "", "-"], ["Bram", *rights]])
    expect(take(table.map(&:to_csv).join).status).to eq(201)
  end

  it "come in with semicolons and quotation marks" do
    expect(take(%("Anneke";"qt8";"7:45";"half past 3")).body["answers"].length).to eq(3)
  end

  it "are not taken at all where one row cannot be, and it is named" do
    expect(take("Anneke,qt8\nZora,qt8")).to be_refused(422).at("table").saying(/Row 2: nobody in the class is called "Zora"/)
    expect(take("Anneke,1,2,3,4")).to be_refused(422).at("table").saying(/more answers than the 3 clocks/)
    expect(take("Anneke,#{'x' * 300}")).to be_refused(422).at("answer")
    expect(take(%("Anneke,qt8))).to be_refused(422).at("table").saying(/quotation marks/)
    expect(get(address).body["answers"]).to eq([])
  end

  it "hold no formula for a spreadsheet" do
    take("Anneke,=1+1")
    expect(CSV.parse(plain("#{address}/answers.csv").body)[1][1]).to eq("'=1+1")
  end

  describe "overruling" do
    let(:given) { answer(check, check["children"].first, check["items"].first, "banana split").body }

    def overrule(verdict) = post("/api/answers/#{given['id']}/rulings", { verdict: })

    it "puts a teacher's verdict in the place of the first, which stays beside it, and takes it back" do
      expect(given["verdict"]).to eq("unreadable")
      expect(overrule("right").body).to include("verdict" => "right", "first_verdict" => "unreadable")
      expect(get(address).body["answers"].first).to include("verdict" => "right", "first_verdict" => "unreadable")
      expect(get("#{address}/findings").body["children"].first).to include("right" => 1, "unreadable" => 0)
      expect(overrule(nil).body).to include("verdict" => "unreadable")
    end

    it "refuses other verdicts and answers there are not" do
      expect(overrule("splendid")).to be_refused(400).at("verdict")
      expect(post("/api/answers/#{SecureRandom.uuid}/rulings", { verdict: "right" })).to be_refused(404).at("answer_id")
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
