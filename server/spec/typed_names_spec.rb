# frozen_string_literal: true

# Names as they are typed for a new class or into a register: what they are taken for is shown first.
RSpec.describe Vantick::Server::Classes::TypedNames do
  def read(text, **more) = post("/api/name-readings", { text:, **more })

  def names(answer) = answer.body["children"].map { |child| child["name"] }

  it "reads a list as a file with the same names is read" do
    ["Müller, Anna\nWeber, Tom", "Anna, Ben, Cem", "Anna\nBen", "Müller, Anna; Weber, Tom", "1. Anna\n2. Ben", "1\tMüller\tAnna",
     "First name;Last name\nAnna;Müller"].each do |text|
      file = post("/api/roster-readings", { file: Base64.strict_encode64(text), names: "first" }).body["classes"].first
      expect([names(read(text)), read(text).body["commas"]]).to eq(file.values_at("children", "commas")), text
    end
    expect(names(read("Müller, Anna\nWeber, Tom"))).to eq(%w[Anna Tom])
    expect(names(read("Müller, Anna\nWeber, Tom", commas: "between"))).to eq(%w[Müller Anna Weber Tom])
    file = { file: Base64.strict_encode64("Müller, Anna\nWeber, Tom"), names: "first", commas: "between" }
    expect(post("/api/roster-readings", file).body["classes"].first["children"]).to eq(%w[Müller Anna Weber Tom])
  end

  it "tells all apart that are alike, at once, and says of which" do
    found = read("Ana\nBo\nana\nbo\nZoë").body["children"].map { |child| child.values_at("name", "alike") }
    expect(found).to eq([["Ana", nil], ["Bo", nil], ["ana 2", "ana"], ["bo 2", "bo"], ["Zoë", nil]])
    found = read("Roe, Ana\nDee, Ana").body["children"].map { |child| child.values_at("name", "alike") }
    expect(found).to eq([["Ana R.", "Ana"], ["Ana D.", "Ana"]])
    school_class = make_class(%w[Ana Bo])
    beside = post("/api/classes/#{school_class['id']}/name-readings", { text: "Ana\nCem" })
    expect(names(beside)).to eq(["Ana 2", "Cem"])
  end

  it "is what a class is made of" do
    children = names(read("Roe, Ana\nDee, Ana\nBo"))
    expect(post("/api/classes", { name: "Heron", children: }).body["children"].map { |child| child["name"] }).to eq(children)
  end

  it "refuses in words what is no list of names" do
    { "b" * 61 => /Line 1: .* too long/, Array.new(41) { |n| "N#{n}x" }.join("\n") => /at most 40 children. Here are 41/,
      "Bo\u202E" => /hidden characters/, "\"Bo\n" => /quotation marks/ }.each do |text, words|
      expect(read(text)).to be_refused(422).at("text").saying(words)
    end
    expect(read("").body).to eq("children" => [], "commas" => nil)
    expect(read("Ana", commas: "anyhow")).to be_refused(400).at("commas")
  end

  it "names all clashes of names that are sent all the same" do
    expect(post("/api/classes", { name: "Heron", children: %w[Bo Ana bo Ana] }))
      .to be_refused(422).at("children").saying(/Bo and bo look too alike, Two children are called Ana/)
  end
end
