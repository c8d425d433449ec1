# frozen_string_literal: true

require "twitter_cldr"

RSpec.describe Vantick::Core::Wording::Phrase do
  describe "number words" do
    # Unicode CLDR's spell-out rules, through twitter_cldr.
    it "are those of Unicode CLDR, 0 to 59" do
      ours = (0..59).map { |number| Vantick::Core::Wording::NumberWords.standard.spell(number) }
      expect(ours).to eq((0..59).map { |number| number.localize(:en).spellout })
    end
  end

  # The same in every way of speaking that a class can choose: counts that are said as numbers are CLDR's words.
  it "says counts and hours in CLDR's words whatever the class's conventions are" do
    words = (1..59).to_h { |number| [number.localize(:en).spellout.tr("-", " "), number] }
    said = Vantick::Core::Wording::Conventions::TABLE.flat_map { |id, choices| choices.map { |choice| { id => choice } } }
    said.each do |choice|
      conventions = Vantick::Core::Wording::Conventions.new(**choice)
      all_times.each do |time|
        phrase = described_class.usual(time, conventions).tr("-", " ")
        found = phrase.split(/\b(?:past|after|to|of|till|before|o'clock|minutes?|quarter|half|gone)\b/).map(&:strip) - [""]
        expect(found - words.keys).to eq([]), "#{choice} #{time}: #{phrase}"
      end
    end
  end

  # Common practice, no source.
  it "says each kind of time as it is usually said" do
    { "8:00" => "eight o'clock", "12:00" => "twelve o'clock", "3:15" => "quarter past three", "12:30" => "half past twelve",
      "7:45" => "quarter to eight", "12:45" => "quarter to one", "3:20" => "twenty past three", "3:35" => "twenty-five to four",
      "4:07" => "seven minutes past four", "4:01" => "one minute past four", "11:59" => "one minute to twelve",
      "4:49" => "eleven minutes to five", "5:50" => "ten to six" }.each do |text, words|
      expect(described_class.usual(time(text))).to eq(words)
    end
  end

  it "says other ways after the usual one: plain numbers, minutes, all past the hour, spoken digits" do
    expect(described_class.all(time("3:45"))).to eq(
      ["quarter to four", "fifteen to four", "fifteen minutes to four", "forty-five past three",
       "forty-five minutes past three", "three forty-five"]
    )
    expect(described_class.all(time("3:05"))).to include("three oh five")
    expect(described_class.all(time("12:00"))).to eq(["twelve o'clock", "noon", "midnight"])
    expect(described_class.all(time("4:07"))).not_to include("seven past four")
  end

  it "says a time shortly for narrow places" do
    short = ->(text) { described_class.short(Vantick::Core::Wording::SpokenTime.usual(time(text))) }
    expect(%w[7:45 12:30 4:07 8:00 3:35].map(&short)).to eq(["quarter to 8", "half past 12", "7 past 4", "8 o'clock", "25 to 4"])
  end

  it "says all 720 times differently, and each way of saying one says no other" do
    ways = all_times.flat_map { |shown| described_class.all(shown) }
    expect(ways.uniq.length).to eq(ways.length)
  end

  it "keeps 'minutes' where the count is no multiple of five, and names the hour ahead with to" do
    all_times.each do |shown|
      usual = described_class.usual(shown)
      expect(usual.match?(/\bminutes?\b/)).to eq(shown.ticks.positive?)
      named = shown.side == :to ? shown.hour_ahead : shown.hour_passed
      expect(usual).to match(/\b#{named.localize(:en).spellout}( o'clock)?\z/)
    end
  end
end
