# frozen_string_literal: true

RSpec.describe Vantick::Server::Classes::Registers do
  it "makes a class and lists it, its children in the order given" do
    made = post("/api/classes", { name: " Curlew ", school: "Tern Quay School", children: ["Zora", " Anneke\t", "José"] })
    expect(made.status).to eq(201)
    expect(made.body).to include("name" => "Curlew", "school" => "Tern Quay School", "made_up" => false)
    expect(get("/api/classes").body["classes"]).to eq([{ **made.body, "of" => nil, "right" => "owning", "until" => nil }])
    expect(made.body["children"].map { |child| child["name"] }).to eq(%w[Zora Anneke José])
  end

  it "has none to begin with" do
    expect(get("/api/classes").body).to eq("classes" => [])
  end

  {
    "no children" => [{ name: "x", children: [] }, 400, "children", /Type at least one child's name/],
    "no list" => [{ name: "x" }, 400, "children", /missing/],
    "children that are no list" => [{ name: "x", children: "Bo" }, 400, "children", /list/],
    "a nameless child" => [{ name: "x", children: ["Bo", ""] }, 400, "children", /Name 2 of the register is empty/],
    "a child of spaces" => [{ name: "x", children: ["Bo", " "] }, 422, "children", /number 2/],
    "two of one name" => [{ name: "x", children: ["Bo", "Bo "] }, 422, "children", /Two children are called Bo/],
    "forty-one children" => [{ name: "x", children: (1..41).map { |n| "c#{n}" } }, 400, "children", /at most 40 children/],
    "an endless name" => [{ name: "x" * 61, children: ["Bo"] }, 400, "name", /at most 60/],
    "an empty name" => [{ name: " ", children: ["Bo"] }, 422, "name", /name/],
    "a number for a name" => [{ name: 7, children: ["Bo"] }, 400, "name", /The name must be text/],
    "a child's name that turns the letters" => [{ name: "x", children: ["Bo\u202E"] }, 422, "children", /Bo has hidden characters/],
    "a name that turns the letters" => [{ name: "x\u2066", children: ["Bo"] }, 422, "name", /hidden characters/],
    "a birthday" => [{ name: "x", children: ["Bo"], born: "2018-01-01" }, 400, "born", /not known/],
    "broken JSON" => ['{"name": ', 400, "body", /not JSON/],
    "a list for a body" => [[], 400, "body", /object/]
  }.each do |what, (body, status, field, words)|
    it("refuses #{what}, at its field") { expect(post("/api/classes", body)).to be_refused(status).at(field).saying(words) }
  end

  it "refuses names that differ by case or accents alone, by name" do
    { %w[Ana ana] => /Ana and ana look too alike/, %w[Zoe Bo Zoë] => /Zoe and Zoë look too alike/,
%w[Bo Bo] => /Two children are called Bo/ }
      .each do |names, words|
      expect(post("/api/classes", { name: "Curlew", children: names })).to be_refused(422).at("children").saying(words)
    end
  end

  it "refuses other addresses, methods and types" do
    expect(get("/api/nothing")).to be_refused(404).at(nil)
    expect(told(app.delete("/api/classes"))).to be_refused(405).at(nil)
    expect(post("/api/classes", "name=x", type: "application/x-www-form-urlencoded")).to be_refused(415).at(nil)
  end

  it "refuses a body far too large before reading it" do
    expect(post("/api/classes", { name: "x", children: ["y" * 70_000] })).to be_refused(413).at("body")
  end

  it "takes text that is not UTF-8 without failing" do
    expect(post("/api/classes", "{\"name\":\"A\xFF\",\"children\":[\"B\xFE\"]}").status).to be < 500
  end
end
