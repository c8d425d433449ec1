# frozen_string_literal: true

# A school year: children come, are called otherwise, leave, come back, move and are erased; classes end.
RSpec.describe Vantick::Server::Classes::Children do
  let(:school_class) { make_class(%w[Bo Ida Tom]) }
  let(:path) { "/api/classes/#{school_class['id']}" }
  let(:bo) { school_class["children"].first }
  let(:ida) { school_class["children"][1] }

  def names(answer = get("#{path}/register")) = answer.body["children"].map { |child| child["name"] }

  def answered(child = bo, text = "quarter to eight")
    check = make_check(school_class)
    answer(check, child, check["items"].first, text)
    check
  end

  it "adds children after those there are, tidied, and refuses who is there already, also among those who left" do
    expect(names(post("#{path}/children", { names: [" Per ", "Una\u0007"] }))).to eq(%w[Bo Ida Tom Per Una])
    expect(post("#{path}/children", { names: ["BO"] })).to be_refused(422).at("names").saying(/Bo and BO look too alike/)
    post("#{path}/children/#{ida['id']}/absence", { left: true })
    expect(post("#{path}/children", { names: ["Ida"] })).to be_refused(422).at("names").saying(/Two children are called Ida/)
    expect(post("#{path}/children", { names: Array.new(38) { |at| "Child #{at}" } })).to be_refused(422).at("names").saying(/at most 40/)
  end

  it "gives a child another name, with the record, and not one that somebody has" do
    answered
    expect(names(put("#{path}/children/#{bo['id']}", { name: "Boris" }))).to eq(%w[Boris Ida Tom])
    expect(get("#{path}/children/#{bo['id']}/record").body["answers"].length).to eq(1)
    expect(put("#{path}/children/#{bo['id']}", { name: "Tom" })).to be_refused(422).at("name").saying(/Two children are called Tom/)
    expect(put("#{path}/children/#{bo['id']}", { name: "BORIS" }).status).to eq(200), "the same child may be written otherwise"
  end

  it "asks nothing for who left, keeps the record, and brings the child back" do
    check = answered
    post("#{path}/children/#{bo['id']}/absence", { left: true })
    expect(names).to eq(%w[Ida Tom])
    expect(get("#{path}/register").body["left"].map { |child| child["name"] }).to eq(["Bo"])
    expect(get("/api/checks/#{check['id']}").body["children"].map { |child| child["name"] }).to eq(%w[Ida Tom])
    expect(get("#{path}/keys").body["keys"].length).to eq(2)
    expect(get("#{path}/groups").body["groups"].flat_map { |group| group["child_ids"] }).not_to include(bo["id"])
    expect(get("#{path}/children/#{bo['id']}/record").body).to include("answers" => [include("answer" => "quarter to eight")])
    post("#{path}/children/#{bo['id']}/absence", { left: false })
    expect(names).to eq(%w[Bo Ida Tom])
  end

  it "moves a child into another class of the teacher, with the record and other pictures, and into nobody else's" do
    answered
    other = make_class(%w[Ada])
    pictures = get("#{path}/keys").body["keys"].first["pictures"]
    expect(names(post("#{path}/children/#{bo['id']}/move", { to_class_id: other["id"] }))).to eq(%w[Ida Tom])
    expect(get("/api/classes/#{other['id']}/children/#{bo['id']}/record").body["answers"].length).to eq(1)
    expect(get("#{path}/children/#{bo['id']}/record").status).to eq(404)
    keys = get("/api/classes/#{other['id']}/keys").body["keys"]
    expect(keys.to_h { |key| key.values_at("child_id", "pictures") }[bo["id"]]).not_to eq(pictures)
    foreign = as(signed_in("Joris")) { make_class(%w[Eva]) }
    expect(post("#{path}/children/#{ida['id']}/move", { to_class_id: foreign["id"] })).to be_refused(404).at("to_class_id")
    shared = as(signed_in("Joris")) { make_class(["Eva"]) }
    as(signed_in("Joris")) do
      account_id = store.teachers.find("Marit")[:id]
      post("/api/classes/#{shared['id']}/shares", { account_id:, until: nil })
    end
    eva = "/api/classes/#{shared['id']}/children/#{shared['children'].first['id']}/move"
    expect(post(eva, { to_class_id: other["id"] })).to be_refused(403).at("to_class_id").saying(/Only they can move/)
    as(signed_in("Joris")) { expect(get("/api/classes/#{shared['id']}/register").body["children"].length).to eq(1) }
    post("/api/classes/#{other['id']}/children", { names: ["Ida"] })
    expect(post("#{path}/children/#{ida['id']}/move", { to_class_id: other["id"] })).to be_refused(422).at("to_class_id")
  end

  it "has no more than forty, whether they come new, come back or come from another class" do
    post("#{path}/children/#{bo['id']}/absence", { left: true })
    post("#{path}/children", { names: Array.new(38) { |at| "Child #{at}" } })
    expect(post("#{path}/children/#{bo['id']}/absence", { left: false })).to be_refused(422).at("left").saying(/at most 40/)
    other = make_class(%w[Ada])
    moving = post("/api/classes/#{other['id']}/children/#{other['children'].first['id']}/move", { to_class_id: school_class["id"] })
    expect(moving).to be_refused(422).at("to_class_id").saying(/at most 40/)
  end

  it "gives out everything that is kept of a child, and erases it when the name is typed" do
    answered(bo, "=2+5 quarter to eight")
    file = get("#{path}/children/#{bo['id']}/file.json").body
    expect(file).to include("name" => "Bo", "answers" => [include("answer" => "=2+5 quarter to eight", "task" => "dial_to_words")])
    table = CSV.parse(plain("#{path}/children/#{bo['id']}/file.csv").body, headers: true)
    expect(table.first.to_h).to include("answer" => "'=2+5 quarter to eight", "step" => "quarters")
    expect(post("#{path}/children/#{bo['id']}/erasure", { name: "bo" })).to be_refused(422).at("name").saying(/Type the child's name/)
    expect(post("#{path}/children/#{bo['id']}/erasure", { name: " Bo " }).body).to include("erased" => true)
    expect(names).to eq(%w[Ida Tom])
    expect(get("#{path}/children/#{bo['id']}/record").status).to eq(404)
  end

  # The bytes of everything that lies in the school's folder, its log and its copies among them.
  def bytes = Dir[File.join(folder, "**/*")].select { |file| File.file?(file) }.map { |file| File.binread(file) }.join

  describe "a class" do
    it "is renamed, put away behind the others, and brought back" do
      other = make_class(%w[Ada])
      expect(put(path, { name: " Tern class ", school: "Quay" }).body).to include("name" => "Tern class", "school" => "Quay")
      expect(put(path, { name: "  " })).to be_refused(422).at("name")
      expect(post("/api/classes/#{other['id']}/archive", { archived: true }).body).to include("archived" => true)
      expect(get("/api/classes").body["classes"].map { |one| one["id"] }).to eq([school_class["id"], other["id"]])
      expect(post("/api/classes/#{other['id']}/archive", { archived: false }).body).to include("archived" => false)
    end

    it "moves up: the children chosen with their records, in the class's own words; the old one is put away" do
      answered
      put("#{path}/conventions", { conventions: { to_word: "of" } })
      made = post("#{path}/next-year", { name: "Curlew class, third year", child_ids: [bo["id"], ida["id"]] }).body
      expect(made).to include("children" => [bo, ida], "archived" => false, "conventions" => include("to_word" => "of"))
      expect(get("/api/classes/#{made['id']}/children/#{bo['id']}/record").body["answers"].length).to eq(1)
      old = get("/api/classes").body["classes"].last
      expect(old).to include("id" => school_class["id"], "archived" => true, "children" => [school_class["children"].last])
      expect(post("#{path}/next-year", { name: "X", child_ids: [] })).to be_refused(422).at("child_ids")
    end

    it "is erased with all that is its own, when its name is typed; who moved on keeps what they answered" do
      check = answered(bo, "zyphers past nine")
      answer(check, ida, check["items"].first, "quarter to eight")
      made = post("#{path}/next-year", { name: "Next", child_ids: [ida["id"]] }).body
      put(path, { name: "Zyphelclass" })
      expect(post("#{path}/erasure", { name: "Next", present_password: ApiHelpers::PASSWORD })).to be_refused(422).at("name")
      expect(post("#{path}/erasure", { name: "Zyphelclass", present_password: ApiHelpers::PASSWORD }).body).to include("erased" => true)
      work
      expect(get("/api/classes").body["classes"].map { |one| one["id"] }).to eq([made["id"]])
      expect(get("/api/classes/#{made['id']}/children/#{ida['id']}/record").body["answers"].length).to eq(1)
      expect(store.db.fetch("PRAGMA foreign_key_check").all).to eq([])
      expect(bytes).not_to include("zyphers")
      expect(bytes).not_to include("Zyphelclass")
    end
  end
end
