# frozen_string_literal: true

RSpec.describe Vantick::Core::Wording::LikelyReader do
  core = Vantick::Core

  def read(text) = Vantick::Core::Wording::AnswerReader.read(text).map(&:read_as)

  # As children write (made up; common practice, no source).
  { "five pas four" => "five past four", "twenty nie to six" => "twenty-nine minutes to six", "eightt oclock" => "eight o'clock",
    "siix o'clock" => "six o'clock", "quarter to twelth" => "quarter to twelve", "3 oh clock" => "three o'clock",
    "korta past 3" => "quarter past three", "kwota to ate" => "quarter to eight", "20 2 10" => "twenty to ten",
    "fif past tree" => "five past three", "five fast six" => "five past six", "ten to sicks" => "ten to six",
    "tenn ot three" => "ten to three", "qua ter to nine" => "quarter to nine", "twentee past won" => "twenty past one",
    "harf parst sevn" => "half past seven", "twenty fife minits to elefen" => "twenty-five to eleven" }.each do |written, taken|
    it("takes #{written.inspect} for #{taken}") { expect(read(written)).to eq([taken]) }
  end

  # Two readings are as near, or a word means something else.
  ["fine past two", "ten past line", "quarter to nen", "ten to the hour", "hello world", "five five five", "quarter past even",
   "not twenty past nine", "i dont know", "past four", "ten minutes", "two", "ten to you", "my fish is five",
   "a b c d e f g h i j"].each do |written|
    it("reads nothing in #{written.inspect}") { expect(read(written)).to eq([]) }
  end

  # Each number of misspelling.yml, in a word that stands on it alone.
  { %w[siix six] => 0.3, %w[eigt eight] => 0.8, %w[nimne nine] => 0.8, %w[fife five] => 0.4, %w[tin ten] => 0.5, %w[tn ten] => 0.6,
    %w[tne ten] => 0.6, %w[tem ten] => 0.5, %w[rwo two] => 0.7, %w[pten ten] => 0.8, %w[xix six] => 1.0,
    %w[wun one] => 0.7 }.each do |(written, meant), cost|
    it "costs #{cost} to take #{written} for #{meant}" do
      expect(core::Wording::Misspelling.cost(written, meant)).to be_within(0.001).of(cost)
    end
  end

  it "has as much room for what is wrong as the word is long" do
    limits = %w[to ten quarter].map { |word| core::Wording::Misspelling.limit(word).round(2) }
    expect(limits).to eq([1.0, 1.08, 2.52])
  end

  # For a teacher to choose: nobody else can say.
  { "fine past two" => ["five past two"], "ten past fine" => ["ten past five", "ten past nine"],
    "quarter to nen" => ["quarter to nine", "quarter to ten"],
    "korta past 3" => ["quarter past three"], "hello world" => [], "quarter to eight" => ["quarter to eight"] }.each do |written, near|
    it("offers #{near} for #{written.inspect}") { expect(core::Wording::AnswerReader.near(written).map(&:read_as)).to eq(near) }
  end

  # Slips of another make than those whose costs are in the table: any letter, anywhere, all as likely.
  def slip(words, random)
    at = (0...words.length).select { |place| words[place].match?(/[a-z]/) }.sample(random:)
    letter = ("a".."z").to_a.sample(random:)
    case random.rand(4)
    when 0 then words.dup.tap { |text| text[at] = "" }
    when 1 then words.dup.insert(at, letter)
    when 2 then words.dup.tap { |text| text[at] = letter }
    else words.dup.tap { |text| text[at, 2] = text[at, 2].reverse }
    end
  end

  def judged(shown, said, random)
    written = slip(Vantick::Core::Wording::Phrase.usual(said), random)
    [mark("dial_to_words", shown.to_s, written), "#{written} for #{shown}"]
  end

  # What a child says who is wrong: another hour, the other side, some minutes off, or anything.
  def wrong(time, random)
    minute = [time.minute, (60 - time.minute) % 60, (time.minute + [1, 5, 10, 55].sample(random:)) % 60].sample(random:)
    Vantick::Core::Dial::DialTime.at([time.hour_passed, time.hour_ahead, random.rand(1..12)].sample(random:), minute)
  end

  it "reads nearly all right answers that have one slip, and calls next to none wrong" do
    random = Random.new(20)
    found = Array.new(1500) { all_times.sample(random:).then { |time| judged(time, time, random) } }
    unread = found.count { |marked, _| marked.verdict == :unreadable }
    lost = found.reject { |marked, _| marked.read_right? || marked.verdict == :unreadable }
    expect(unread).to be < 75
    expect(lost.length).to be < 15, lost.map(&:last).join("\n")
  end

  it "praises no wrong answer with a slip" do
    random = Random.new(21)
    pairs = Array.new(3000) { all_times.sample(random:).then { |time| [time, wrong(time, random)] } }.reject { |time, said| time == said }
    praised = pairs.map { |time, said| judged(time, said, random) }.select { |marked, _| marked.read_right? }
    expect(praised.map(&:last)).to eq([])
  end

  it "reads nothing in texts that are long and odd" do
    texts = ["a" * 200, "to " * 60, "five " * 40, "#{'x' * 14} " * 8, "past" * 50]
    expect(texts.flat_map { |text| core::Wording::AnswerReader.read(text[0, 200]) }).to eq([])
  end
end
