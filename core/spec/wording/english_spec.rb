# frozen_string_literal: true

require "date"
require "twitter_cldr"

RSpec.describe Vantick::Core::Wording::English do
  core = Vantick::Core
  british = core::Wording::Conventions.default
  american = core::Wording::Conventions.new(english: :american)

  it "has each word in both kinds, and they differ" do
    described_class::WORDS.each do |name, kinds|
      expect(kinds.keys).to match_array(described_class::KINDS), name.to_s
      expect(kinds.values.uniq.length).to eq(2), name.to_s
    end
    expect(described_class.word(:nought, british)).to eq("nought")
    expect(described_class.word(:nought, american)).to eq("zero")
    expect { described_class.word(:lorry) }.to raise_error(KeyError)
  end

  it "uses each word in some text of core or of the pages" do
    files = Dir[File.join(core::Facts::DataFile::FOLDER, "*.yml"), File.expand_path("../../../web/src/**/*.{ts,vue}", __dir__)]
    texts = files.reject { |file| file.end_with?("english.yml") }.sum("") { |file| File.read(file) }
    expect(described_class::WORDS.keys.reject { |name| texts.match?(/%\{#{name}\}/i) }).to eq([])
  end

  # rubocop:disable Style/FormatStringToken
  text = "%{Tick} it: a %{nought}."
  # rubocop:enable Style/FormatStringToken

  it "fills the words of a class's English into texts, with a capital where the place has one" do
    filled = ->(conventions) { core::Wording::ClassWords.fill(text, conventions) }
    expect([filled[british], filled[american]]).to eq(["Tick it: a nought.", "Check it: a zero."])
    zero = core::Reading::Misreading.find(:zero_misplaced)
    expect(zero.texts_in(american)[:name]).to eq("zero in the wrong place")
    expect(core::Choosing::SheetKind.find("make").direction(nil, american)).to include("brass fastener")
  end

  # Unicode CLDR, through twitter_cldr: the order of day and month in long dates.
  it "writes days in the order of Unicode CLDR" do
    day = Date.new(2026, 11, 25)
    { british => :"en-GB", american => :"en-US" }.each do |conventions, locale|
      order = ->(written) { written.index("25") <=> written.index("November") }
      known = TwitterCldr::Localized::LocalizedDate.new(Time.utc(day.year, day.month, day.day, 12), locale).to_long_s
      expect(order[described_class.day(day, conventions)]).to eq(order[known]), known
      expect(order[described_class.day(day, conventions, year: true)]).to eq(order[known]), known
    end
    expect(described_class.day(day, american)).to eq("Wednesday, November 25")
  end

  it "knows what the schools of a country usually have, and refuses one there is not" do
    here = described_class.conventions_of("us")
    expect([here.english, here.past_word, here.sign, described_class.paper(here)]).to eq([:american, :after, ":", "letter"])
    expect([described_class.paper, described_class.locale, described_class.hours_of_clock(american)]).to eq(["a4", "en-GB", 12])
    described_class::COUNTRIES.each_value do |country|
      expect(described_class.conventions_of(country[:id]).english.to_s).to eq(country[:english])
      names = core::Curriculum::Step.all.flat_map(&:standards)
      expect(names.grep(/\A#{country[:standards]}/)).not_to be_empty
    end
    expect { described_class.conventions_of("atlantis") }.to raise_error(core::UnknownName) { |error| expect(error.field).to eq(:country) }
  end
end

RSpec.describe Vantick::Core::Wording::DayTimeReader do
  { "15:30" => "15:30", "8.05" => "08:05", "3:30 pm" => "15:30", "3.30 p.m." => "15:30", "3 PM" => "15:00", "12 am" => "00:00",
    "12:15 a.m." => "00:15", "noon" => "12:00", "midnight" => "00:00", "half past three in the afternoon" => "15:30",
    "9:30 at night" => "21:30", "2 at night" => "02:00", "quarter to eight in the morning" => "07:45" }.each do |text, time|
    it("reads #{text} as #{time}") { expect(described_class.read(text).to_s).to eq(time) }
  end

  it "says what to type where it is no time, or in no half of the day" do
    ["", "25:00", "half past three", "soon", "7", "x" * 500].each do |text|
      expect { described_class.read(text) }.to raise_error(Vantick::Core::InvalidDayTime, /Type it like/), text[0, 20]
    end
  end

  it "reads every time of the day as a class of either kind of English writes it" do
    %i[british american].product(%i[colon point]) do |english, separator|
      conventions = Vantick::Core::Wording::Conventions.new(english:, separator:)
      Vantick::Core::Dial::DayTime.all.each_slice(7).map(&:first).each do |time|
        typed = Vantick::Core::Wording::DayFacts.of(time, conventions)[:typed]
        expect(described_class.read(typed, conventions)).to eq(time), typed
      end
    end
  end
end
