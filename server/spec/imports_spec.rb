# frozen_string_literal: true

# Answers given in another program: QTI result reports (1EdTech; from memory) and tables, made by hand here.
RSpec.describe Vantick::Server::Check::Imports do
  let(:school_class) { make_class(%w[Bo Ida Mia]) }
  let(:check) { make_check(school_class, task: "dial_to_digital", count: 3) }
  let(:path) { "/api/checks/#{check['id']}" }
  let(:times) { check["items"].map { |item| item["time"] } }

  def clock(number, of: check) = "clock-#{of['code'] || "check-#{of['id']}"}-#{number}"

  # A report as another program writes it; each item's tries with the moment of each.
  def report(child, items)
    results = items.map do |name, tries|
      Array(tries).each_with_index.map do |value, at|
        <<~XML
          <itemResult identifier="#{name}" sequenceIndex="1" datestamp="2026-03-0#{at + 1}T09:00:00Z" sessionStatus="final">
            <responseVariable identifier="numAttempts"><candidateResponse><value>1</value></candidateResponse></responseVariable>
            <responseVariable identifier="RESPONSE" cardinality="single" baseType="string">
              <correctResponse><value>9:99</value></correctResponse>
              <candidateResponse><value>#{value}</value></candidateResponse>
            </responseVariable>
            <outcomeVariable identifier="SCORE" cardinality="single" baseType="float"><value>0</value></outcomeVariable>
          </itemResult>
        XML
      end
    end
    "<assessmentResult xmlns='http://www.imsglobal.org/xsd/imsqti_result_v3p0'><context sourcedId='#{child}'/>" \
      "#{results.join}</assessmentResult>"
  end

  def preview(bytes, to: path) = post("#{to}/import-previews", { file: Base64.strict_encode64(bytes) })

  def take(table) = post("#{path}/tables", { table: })

  def answers = get(path).body["answers"].to_h { |answer| [[answer["child_id"], answer["item_id"]], answer["answer"]] }

  def of(child, number) = [school_class["children"][child]["id"], check["items"][number - 1]["id"]]

  it "reads reports, one of each child in a zip, and keeps nothing before the table is taken" do
    reports = { "a/bo.xml" => report("Bo", clock(1) => times[0], clock(2) => "6:35"), "ida.xml" => report("ida", clock(3) => times[2]) }
    found = preview(Vantick::Server::Formats::Bundle.write(reports)).body
    expect(found).to include("answers" => 3, "left_out" => [])
    expect(answers).to be_empty
    take(found["table"])
    expect(answers).to eq(of(0, 1) => times[0], of(0, 2) => "6:35", of(1, 3) => times[2])
    verdicts = get(path).body["answers"].map { |answer| answer["verdict"] }
    expect(verdicts.count("right")).to eq(2)
  end

  it "takes of several tries the first, whatever order they stand in" do
    tries = report("Bo", clock(1) => %w[6:35 7:45])
    expect(CSV.parse(preview(tries).body["table"])[1]).to eq(["Bo", "6:35", nil, nil])
  end

  it "reads a table with an answer in each row, and names children by the ids of lists as well" do
    store.register.keep_ids(school_class["children"][1]["id"] => "pupil-7")
    own = "vantick-#{store.school.sign}-child-#{school_class['children'][2]['id']}"
    table = "Item identifier;Candidate ID;Response\n#{clock(1)};pupil-7;7:45\n2;Bo;8.15\nQuarters, 3;#{own};7:00\n"
    expect(CSV.parse(preview(table).body["table"])).to eq([["\uFEFFchild", "clock 1", "clock 2", "clock 3"], ["Bo", nil, "8.15", nil],
                                                           ["Ida", "7:45", nil, nil], ["Mia", nil, nil, "7:00"]])
  end

  it "names what it leaves out by its place, and why" do
    store.register.keep_ids(school_class["children"][1]["id"] => "Mia")
    table = "name,item,answer\nBo,1,7:45\nTheo,1,7:45\nIda,#{clock(9)},7:45\nIda,4,7:45\nMia,1,7:45\nIda,,\nIda,0,7:45\n"
    expect(preview(table).body["left_out"].map(&:values))
      .to eq([["row 3", "no child in the class is called “Theo”"], ["row 4", "“#{clock(9)}” is no clock of this check"],
              ["row 5", "“4” is no clock of this check"], ["row 6", "more than one child is called “Mia”"],
              ["row 7", "“” is no clock of this check"], ["row 8", "“0” is no clock of this check"]])
  end

  it "writes what was chosen, where a choice came by its name" do
    hours = post("/api/classes/#{school_class['id']}/sheets", { kind: "read", step: "quarters", task: "hour_only", count: 3, seed: 1 }).body
    id = hours["check_id"]
    of = store.checks.find(id)
    package = Zip::File.open_buffer(StringIO.new(plain("/api/checks/#{id}/qti.zip").body))
    chosen = Nokogiri::XML(package.glob("items/*.xml").first.get_input_stream.read).remove_namespaces!.xpath("//qti-simple-choice")[2]
    found = preview("child,item,answer\nBo,clock-#{of.code}-1,#{chosen['identifier']}\n", to: "/api/checks/#{id}").body
    expect(CSV.parse(found["table"])[1][1]).to eq(chosen.text)
  end

  it "refuses what holds no answers, or none of this check, in words" do
    { "blue" => /no answers in this file/, "<a/>" => /no answers in this file/, "PK\x03\x04" => /can't be opened/,
      "child,item,answer\nTheo,1,7:45\n" => /None of the 1 answers fits.*“Theo”/,
      "child,item,answer\n\"Bo,1,7:45\n" => /near line 2/ }.each do |bytes, words|
      expect(preview(bytes)).to be_refused(422).at("file").saying(words)
    end
  end

  it "takes a table out again: what stood before stands, and what was corrected since stays" do
    first = answer(check, school_class["children"][0], check["items"][0], "7:15")
    take("Bo,7:45,8:15,\nIda,7:45,,")
    answer(check, school_class["children"][1], check["items"][0], "9:45")
    list = get("#{path}/imports").body["imports"]
    expect(list.map { |one| one["answers"] }).to eq([2])
    expect(delete("#{path}/imports/#{list.first['id']}").status).to eq(200)
    expect(answers).to eq(of(0, 1) => "7:15", of(1, 1) => "9:45")
    expect(first).to be_truthy
    expect(get("#{path}/imports").body["imports"]).to eq([])
    expect(delete("#{path}/imports/#{list.first['id']}").status).to eq(404)
  end

  it "can be taken out for thirty days, also of a check that was deleted and came back" do
    take("Bo,7:45")
    removed = delete(path).body
    post("/api/removed/#{removed['id']}/return", {})
    expect(get("#{path}/imports").body["imports"].length).to eq(1)
    store.answer_imports.forget_old(Time.now + (29 * 86_400))
    expect(get("#{path}/imports").body["imports"].length).to eq(1)
    store.answer_imports.forget_old(Time.now + (31 * 86_400))
    expect(get("#{path}/imports").body["imports"]).to eq([])
  end
end
