# frozen_string_literal: true

RSpec.describe Vantick::Server::Store::ResultCache do
  let(:kept) { described_class.new }
  let(:made) { [] }

  def ask(class_id, *of) = kept.of(class_id, of) { made.push([class_id, *of]).last }

  it "makes a thing once, until what it is made of is another" do
    expect([ask(1, "a"), ask(1, "a"), ask(1, "b"), ask(1, "a")]).to eq([[1, "a"], [1, "a"], [1, "b"], [1, "a"]])
    expect(made.length).to eq(3)
  end

  it "keeps one of each class, and no more classes than it may" do
    (1..described_class::MOST).each { |id| ask(id, "a") }
    ask(1, "a")
    expect(made.length).to eq(described_class::MOST)
    ask(described_class::MOST + 1, "a")
    ask(1, "a") # asked for lately, so still there
    ask(2, "a")
    expect(made.length).to eq(described_class::MOST + 2)
  end

  it "keeps nothing of what could not be made" do
    expect { kept.of(1, ["a"]) { raise "no" } }.to raise_error("no")
    expect(ask(1, "a")).to eq([1, "a"])
  end

  it "is asked by several at once" do
    found = Array.new(8) { |at| Thread.new { Array.new(50) { |turn| ask(at % 3, turn % 2) } } }.flat_map(&:value)
    expect(found.uniq.length).to eq(6)
  end
end
