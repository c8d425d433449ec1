# frozen_string_literal: true

RSpec.describe Vantick::Server::Http::Input do
  def text = { "type" => "string" }

  def list(of) = { "type" => "array", "items" => of }

  let(:schema) do
    { "type" => "object",
      "properties" => { "name" => text, "pairs" => list({ "properties" => { "at" => text } }),
                        "minutes" => { "type" => "object", "additionalProperties" => { "type" => "integer" } },
                        "placed" => { "additionalProperties" => list(text) }, "left" => { "type" => %w[object null] } } }
  end

  def input(values, of = schema) = described_class.of(of).new(values)

  it "has a reader for each name of the schema, and nil where nothing came" do
    expect(input("name" => "Ida")).to have_attributes(name: "Ida", pairs: nil, minutes: nil)
    expect { input("name" => "Ida").nickname }.to raise_error(NoMethodError)
  end

  it "leaves out what the schema does not have, and what did not come" do
    expect(input("name" => "Ida", "nickname" => "I", "left" => nil).to_h).to eq(name: "Ida", left: nil)
  end

  it "has inputs within it, in lists too, and open names as symbols" do
    deep = input("pairs" => [{ "at" => "1" }, { "at" => "2" }], "minutes" => { "exit" => 5 }, "placed" => { "alone" => %w[3:15 4:45] })
    expect(deep.pairs.map(&:at)).to eq(%w[1 2])
    expect(deep.minutes).to eq(exit: 5)
    expect(deep.to_h).to eq(pairs: [{ at: "1" }, { at: "2" }], minutes: { exit: 5 }, placed: { alone: %w[3:15 4:45] })
    expect({ **deep }).to eq(deep.to_h)
  end

  it "gives some of it, or all but some" do
    both = input("name" => "Ida", "minutes" => {})
    expect(both.slice(:name, :pairs)).to eq(name: "Ida")
    expect(both.except(:name)).to eq(minutes: {})
  end

  it "takes together what a schema joins" do
    inner = { "properties" => { "b" => list({ "properties" => { "c" => text } }) } }
    joined = { "allOf" => [{ "properties" => { "a" => text } }, { "oneOf" => [inner] }] }
    expect(input({ "a" => "x", "b" => [{ "c" => "y" }] }, joined).b.first.c).to eq("y")
  end

  it "is frozen, with all that is in it" do
    deep = input("pairs" => [{ "at" => "1" }], "placed" => { "alone" => ["3:15"] })
    expect([deep, deep.pairs, deep.pairs.first, deep.placed, deep.placed[:alone]]).to all(be_frozen)
  end
end
