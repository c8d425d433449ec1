# frozen_string_literal: true

RSpec.describe Vantick::Server::Documents::Letters do
  let(:letters) { described_class.of(false) }

  it "cuts words that are too long, as far as they fit with the sign for it, and others not at all" do
    words = "Quarter past seven"
    whole = letters.width(words, 10)
    expect(letters.cut(words, whole, 10)).to eq(words)
    cut = letters.cut(words, whole / 2, 10)
    expect(cut).to end_with("…")
    expect(words).to start_with(cut.delete_suffix("…"))
    expect(letters.width(cut, 10)).to be <= whole / 2
    longer = "#{words[0, cut.length]}…"
    expect(letters.width(longer, 10)).to be > whole / 2
    expect(letters.cut(words, 1, 10)).to eq("")
  end

  it "breaks words into lines, none wider than it may be but for a word that is" do
    lines = letters.lines("one two three four five six", letters.width("three four", 10), 10)
    expect(lines.join(" ")).to eq("one two three four five six")
    expect(lines.map { |line| letters.width(line, 10) }).to all(be <= letters.width("three four", 10))
    expect(letters.lines("twelve", 1, 10)).to eq(["twelve"])
  end
end
