# frozen_string_literal: true

require "twitter_cldr"

RSpec.describe Vantick::Core::Wording::DayFacts do
  def row(text, names = "") = described_class.of(Vantick::Core::Dial::DayTime.parse(text), Vantick::Core::Wording::Conventions.parse(names))

  it "names a time of the day in every way a class may need" do
    expect(row("19:45")).to eq(time: "19:45", half: :pm, part: "evening", twelve_hour: "7:45 p.m.", twenty_four_hour: "19:45",
                               typed: "19:45", clock_shows: "7:45 p.m.", words: "quarter to eight in the evening")
    expect(row("07:45", "point,of")).to include(twelve_hour: "7.45 a.m.", twenty_four_hour: "07.45",
                                                words: "quarter of eight in the morning")
  end

  # NIST, "Times of Day FAQs", from memory: noon and midnight are neither a.m. nor p.m.
  it "says noon and midnight by name, and what a digital clock shows at them" do
    expect(row("12:00")).to include(words: "noon", twelve_hour: "12:00 noon", clock_shows: "12:00 p.m.")
    expect(row("00:00")).to include(words: "midnight", twelve_hour: "12:00 midnight", clock_shows: "12:00 a.m.")
  end

  # Unicode CLDR's English day periods, through twitter_cldr; between midnight and six it has night.
  it "puts all 1,440 times into the part of the day that Unicode CLDR does" do
    rules = TwitterCldr.get_locale_resource(:en, :day_periods)[:en][:default]
    minutes = ->(time) { (time[:hour] * 60) + time[:min] }
    spans = { "morning" => :morning1, "afternoon" => :afternoon1, "evening" => :evening1 }
    Vantick::Core::Dial::DayTime.all.each do |day_time|
      expected = spans.find { |_, rule| (minutes[rules[rule][:from]]...minutes[rules[rule][:before]]).cover?(day_time.index) }&.first
      expect(described_class.of(day_time)[:part]).to eq(expected || "night")
    end
  end

  it "puts a class's own day in order, and asks for what is missing" do
    day = [{ time: "15:30", what: " choir\n" }, { time: "8:05", what: "ferry" }]
    expect(described_class.day(day)).to eq([{ time: "08:05", what: "ferry" }, { time: "15:30", what: "choir" }])
    expect(described_class.day(described_class::DATA[:usual_day])).to eq(described_class::DATA[:usual_day])
    expect { described_class.day([{ time: "25:00", what: "x" }]) }.to raise_error(Vantick::Core::InvalidDayTime, /Type it like/)
    expect { described_class.day([{ time: "8:00", what: " " }]) }.to raise_error(Vantick::Core::Error, /what happens/)
  end
end
