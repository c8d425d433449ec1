# frozen_string_literal: true

require "damerau-levenshtein"

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

# Damerau-Levenshtein by the gem of that name, over all words of the vocabulary: what a misspelled word is taken for is never
# farther from it than any other word that means something else.
RSpec.describe "Misspelled words and the nearest ones" do
  let(:vocabulary) { Vantick::Core::Wording::Vocabulary.standard }
  let(:words) { Vantick::Core::Facts::DataFile.load("words") }
  let(:forms) do
    [*words[:read].values.flatten, *Vantick::Core::Wording::NumberWords.standard.simple.values, *words[:beyond].values]
  end

  def far(one, other) = DamerauLevenshtein.distance(one, other)

  def misspelled(word, random)
    at = random.rand(word.length)
    letter = ("a".."z").to_a.sample(random:)
    [word.dup.tap { |one| one[at] = letter }, word.dup.tap { |one| one[at] = "" }, word.dup.insert(at, letter),
     word.dup.tap { |one| one[at, 2] = one[at, 2].reverse }].sample(random:)
  end

  it "agree, for two thousand slips of one letter" do
    random = Random.new(12)
    long = forms.select { |form| form.length > 3 }
    slips = Array.new(2000) { misspelled(long.sample(random:), random) }.uniq - words[:sounds_like].values.flatten
    found = slips.filter_map { |written| vocabulary.find(written)&.then { |word| [written, word] } }
    meanings = forms.to_h { |form| [form, vocabulary.find(form)] }
    wrong = found.reject do |written, word|
      mine, others = meanings.partition { |_, one| [one.kind, one.value] == [word.kind, word.value] }
      mine.map { |form, _| far(written, form) }.min <= others.map { |form, _| far(written, form) }.min
    end
    expect(found.length).to be > 1000
    expect(wrong.map(&:first)).to eq([])
  end
end
