# frozen_string_literal: true

RSpec.describe Vantick::Core::Wording::Vocabulary do
  subject(:vocabulary) { described_class.standard }

  def meaning(written) = vocabulary.find(written)&.then { |word| [word.kind, word.value, word.misspelled] }

  it "knows its own words as they are spelled" do
    expect(meaning("quarter")).to eq([:quarter, nil, false])
    expect(meaning("after")).to eq([:past, nil, false])
    expect(meaning("seventeen")).to eq([:number, 17, false])
  end

  # How children spell: common practice, no source.
  { "quater" => :quarter, "qarter" => :quarter, "kwarter" => :quarter, "quartre" => :quarter, "harf" => :half, "haf" => :half,
    "parst" => :past, "passed" => :past, "too" => :to, "minuets" => :minutes, "minits" => :minutes, "oclok" => :oclock,
    "midnite" => :midnight, "midday" => :noon }.each do |written, kind|
    it("takes #{written} for #{kind}") { expect(vocabulary.find(written).kind).to eq(kind) }
  end

  { "tree" => 3, "fore" => 4, "fife" => 5, "sevin" => 7, "ate" => 8, "eigth" => 8, "elven" => 11, "twelf" => 12, "forteen" => 14,
    "fiveteen" => 15, "fivteen" => 15, "ninteen" => 19, "twenny" => 20, "twnety" => 20, "thirdy" => 30, "fourty" => 40,
    "fiffty" => 50 }.each do |written, number|
    it("takes #{written} for #{number}") { expect(vocabulary.find(written)).to have_attributes(value: number, misspelled: true) }
  end

  it "guesses neither at short words nor between two that are equally near" do
    %w[tin fir sux x at pa fine].each { |written| expect(meaning(written)).to be_nil, written }
  end

  it "does not take a number for another number that is a word too" do
    (0..20).each do |number|
      written = Vantick::Core::Wording::NumberWords.standard.spell(number)
      expect(meaning(written)).to eq([:number, number, false])
    end
  end
end
