# frozen_string_literal: true

# The contract as other programs read it.
RSpec.describe "The contract" do
  contract = YAML.safe_load_file(File.join(Vantick::Server::ROOT, "openapi.yaml"), aliases: true)
  operations = contract["paths"].flat_map do |path, item|
    item.slice("get", "post", "put", "delete", "patch").map { |method, operation| ["#{method} #{path}", operation] }
  end
  tags = contract["tags"].map { |tag| tag["name"] }

  # Keys that a comma or a word of YAML made of the rest of a sentence.
  def cut(part, path = [])
    case part
    when Hash then part.flat_map { |key, value| odd?(key, value) ? ["#{path.join('/')}: #{key}"] : cut(value, [*path, key]) }
    when Array then part.each_with_index.flat_map { |value, at| cut(value, [*path, at]) }
    else []
    end
  end

  def odd?(key, value) = !key.is_a?(String) || (value.nil? && key.include?(" "))

  it "has no description that YAML cuts, and no key that is no word" do
    expect(cut(contract)).to eq([])
    expect(cut("a" => { "b" => "Which", "where there are several." => nil })).to eq(["a: where there are several."])
    expect(cut("off" => 1, true => 2)).to eq([": true"])
  end

  it "says where it is served, and has each operation once, under one of its tags, with a sentence of its own" do
    expect(contract["servers"].map { |server| server["url"] }).to eq(["/"])
    operations.each do |name, operation|
      expect(tags & operation["tags"]).to eq(operation["tags"]), name
      expect(operation["tags"].length).to eq(1), name
      expect(operation["summary"]).to match(/\A[A-Z].*\.\z/m), name
      expect(operation["responses"]["default"]).to eq("$ref" => "#/components/responses/Problem"), name
    end
    ids = operations.map { |_, operation| operation["operationId"] }
    expect(ids.tally.reject { |_, many| many == 1 }).to eq({})
    expect(tags - operations.flat_map { |_, operation| operation["tags"] }).to eq([])
  end

  # Fields for codes and times have a form of their own, and at most so many letters.
  it "says how long a text may be, in one place for all: pages and what reads the folder of lists ask it" do
    pages = Dir[File.expand_path("../../web/src/**/*.vue", __dir__)]
    lengths = pages.to_h { |page| [File.basename(page), File.read(page).scan(/\smaxlength="(\d+)"/).flatten.map(&:to_i)] }
    by_hand = lengths.transform_values { |all| all.select { |most| most > 12 } }
    expect(by_hand.length).to be > 100
    expect(by_hand.reject { |_, found| found.empty? }).to eq({})
    letters = contract.dig("components", "schemas", "FileSent", "maxLength")
    expect(Vantick::Server::Work::RosterFolder::LARGEST).to eq(letters * 3 / 4)
  end
end
