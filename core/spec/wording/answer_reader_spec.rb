# frozen_string_literal: true

RSpec.describe Vantick::Core::Wording::AnswerReader do
  def read(text) = described_class.read(text).map { |given| [given.read_as, *given.slips].join(" ") }

  it "reads every way of saying all 720 times back as that time, without a slip" do
    all_times.each do |shown|
      [shown.digital, *Vantick::Core::Wording::Phrase.all(shown)].each do |way|
        clean = described_class.read(way).select { |given| given.slips.empty? }
        expect(clean.map(&:time)).to eq([shown]), "#{way} for #{shown}"
      end
    end
  end

  # How people write: common practice, no source.
  {
    "07:45" => "7:45", "19:45" => "7:45", "7.45" => "7:45 separator", "7 45" => "7:45 separator", "745" => "7:45 run_together",
    "3:5" => "3:05 one_digit", "7:45pm" => "7:45", "7:45 a.m." => "7:45", "1159" => "11:59 run_together", " 7:45. " => "7:45",
    "quarter to 8" => "quarter to eight", "qtr to eight" => "quarter to eight", "15 to 8" => "quarter to eight",
    "fifteen minutes to eight o'clock" => "quarter to eight", "45 past 7" => "forty-five past seven",
    "seven forty five" => "7:45", "seven oh five" => "7:05", "8 oclock" => "eight o'clock spelling",
    "8 o’clock" => "eight o'clock", "8 o clock" => "eight o'clock spelling", "noon" => "twelve o'clock",
    "QUARTER PAST THREE" => "quarter past three", "it's a quarter past 3!" => "quarter past three",
    "twenty five to four" => "twenty-five to four", "quater past 3" => "quarter past three spelling",
    "harf past three" => "half past three spelling", "quarter too eight" => "quarter to eight spelling",
    "ten two eight" => "ten to eight spelling", "forteen past tree" => "fourteen minutes past three spelling",
    "ten after four" => "ten past four", "ten till four" => "ten to four",
    "qp7" => "quarter past seven", "hp7" => "half past seven", "qt8" => "quarter to eight", "20t8" => "twenty to eight",
    "12p3" => "twelve minutes past three", "8o" => "eight o'clock", "half 3" => "half past three no_side"
  }.each do |written, taken|
    it("takes #{written.inspect} for #{taken}") { expect(read(written)).to eq([taken]) }
  end

  it "gives both sides where the side is missing" do
    expect(read("quarter 8")).to eq(["quarter past eight no_side", "quarter to eight no_side"])
    expect(read("20 8")).to eq(["twenty past eight no_side", "twenty to eight no_side"])
    expect(read("ten nine")).to eq(["ten past nine no_side", "ten to nine no_side"])
    expect(read("ten minutes 4").length).to eq(2)
    # Where digits spoken are complete, nothing is missing.
    expect([read("ten twelve"), read("ten ten"), read("five ten")]).to eq([["10:12"], ["10:10"], ["5:10"]])
    expect(read("twenty one")).to eq(["twenty past one no_side", "twenty to one no_side"])
    expect(read("twenty-one")).to eq([])
  end

  it "reads nothing where nothing can be meant" do
    ["25:99", "7:75", "7:", ":45", "banana", "past", "quarter", "seven five", "quarter past past 3", "99t8", "qt13", "8 9 10",
     "fifty-five past thirty", "ten past", "'; drop table", "\u0000", "⅓ past 3", "3:45:10"].each do |text|
      expect(read(text)).to eq([]), text
    end
  end

  it "takes an hour counted on from twelve for the one it means" do
    expect(read("quarter to thirteen")).to eq(["12:45"])
    expect(read("ten past fifteen")).to eq(["3:10"])
    expect(mark("dial_to_words", "12:45", "quarter to thirteen").verdict).to eq(:right_other_words)
    expect(mark("dial_to_words", "7:45", "quarter to thirteen")).not_to be_right
  end

  it "never guesses between two words equally near" do
    expect(read("fine past three")).to eq([])
  end

  it "takes what is not UTF-8 and full-width digits without failing" do
    expect(read("７：４５")).to eq(["7:45"])
    expect(read("7:45\xFF")).to eq(["7:45"])
  end

  it "tells nothing answered from something that cannot be read" do
    expect(["", "  ", "\n", "\u00A0", "-", " – "].map { |text| described_class.blank?(text) }).to all(be(true))
    expect(["?", "x", "-1", "\xFF"].map { |text| described_class.blank?(text) }).to all(be(false))
  end

  it "refuses 10,000 characters and takes 200" do
    expect { read("7" * 10_000) }.to raise_error(Vantick::Core::AnswerTooLong, /10000 characters.*200/)
    expect(read("x" * 200)).to eq([])
  end
end
