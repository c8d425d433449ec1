# frozen_string_literal: true

require "date"

# Days and counts in words, and days where the school is: against Ruby's own calendar.
RSpec.describe "Days and counts in words" do
  def days = lab("const { words } = lab; return words.today()")

  it "count on over months, leap days and the ends of years as Ruby's calendar does" do
    from = %w[2026-02-27 2028-02-27 2026-12-30 2026-03-28 2026-10-24]
    found = lab("return given.from.map((day) => [-40, -1, 0, 1, 2, 3, 31, 366].map((more) => lab.words.plusDays(day, more)))", from:)
    wanted = from.map { |day| [-40, -1, 0, 1, 2, 3, 31, 366].map { |more| (Date.iso8601(day) + more).iso8601 } }
    expect(found).to eq(wanted)
  end

  it "count on by months over the ends of years" do
    found = lab("return [-13, -1, 0, 1, 11, 12].map((more) => lab.words.plusMonths('2026-01', more))")
    expect(found).to eq(%w[2024-12 2025-12 2026-01 2026-02 2026-12 2027-01])
  end

  it "are written alike everywhere, the year only where it is another than this one" do
    year = Date.iso8601(days).year
    other = Date.new(year, days.end_with?("03-04") ? 5 : 3, 4)
    found = lab("return given.days.map(lab.words.dayWords)", days: [days, other.iso8601, (other >> 24).iso8601])
    expect(found).to eq(["today", other.strftime("%a %-d %b"), (other >> 24).strftime("%a %-d %b %Y")])
    expect(lab("return [lab.words.shortDay(given.day), lab.words.monthWords('2026-09')]", day: (other >> 24).iso8601))
      .to eq([(other >> 24).strftime("%a %-d %b"), "September 2026"])
  end

  # Offsets by hand: UTC+1 and +2 in Amsterdam, +13 in Auckland in January, -8 in Los Angeles.
  it "are those of the school's own zone, through a change to summer time" do
    found = lab(<<~JS)
      const at = (zone, moment) => { lab.words.keepZone(zone); return [lab.words.isoDay(new Date(moment)), lab.words.clock(moment)]; };
      const told = [at("Europe/Amsterdam", "2026-03-29T00:30:00Z"), at("Europe/Amsterdam", "2026-03-29T01:30:00Z"),
        at("Pacific/Auckland", "2026-01-31T12:00:00Z"), at("America/Los_Angeles", "2026-01-01T07:59:00Z")];
      lab.words.keepZone(null);
      return told;
    JS
    expect(found).to eq([["2026-03-29", "01:30"], ["2026-03-29", "03:30"], ["2026-02-01", "01:00"], ["2025-12-31", "23:59"]])
  end

  # Unicode CLDR for English in the United States: month before day, commas, and a clock of twelve hours.
  it "are written as Americans write them where the class does" do
    found = lab(<<~JS, day: "2031-11-25")
      const { words } = lab;
      words.keepLocale("en-US");
      words.keepZone("UTC");
      const told = [words.dayWords(given.day), words.shortDay(given.day), words.monthWords("2026-09"),
        words.clock("2026-01-31T14:05:00Z").replace(/\\s/g, " ")];
      words.keepLocale("en-GB");
      words.keepZone(null);
      return told;
    JS
    day = Date.iso8601("2031-11-25")
    expect(found).to eq([day.strftime("%a, %b %-d, %Y"), day.strftime("%a, %b %-d"), "September 2026", "2:05 PM"])
  end

  it "count one by itself, and children as children" do
    found = lab("return [lab.words.counted(1, 'clock'), lab.words.counted(7, 'clock'), lab.words.counted(0, 'clock'), " \
                "lab.words.countedChildren(1), lab.words.countedChildren(3), lab.words.counted(2, 'copy', 'copies')]")
    expect(found).to eq(["1 clock", "7 clocks", "0 clocks", "1 child", "3 children", "2 copies"])
  end
end
