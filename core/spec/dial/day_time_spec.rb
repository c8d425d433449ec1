# frozen_string_literal: true

require "twitter_cldr"

RSpec.describe Vantick::Core::Dial::DayTime do
  # Ruby's own clock as the outside source: %H:%M is ISO 8601 hours and minutes, %p a.m. or p.m.
  it "names all 1,440 times of a day as Ruby's strftime does" do
    described_class.all.each do |day_time|
      clock = Time.utc(2026, 1, 1) + (day_time.index * 60)
      expect(day_time.to_s).to eq(clock.strftime("%H:%M"))
      expect(day_time.dial_time.digital).to eq(clock.strftime("%-I:%M"))
      expect(day_time.shown_half.to_s).to eq(clock.strftime("%P"))
      expect(described_class.parse(day_time.to_s)).to equal(day_time)
    end
  end

  # Unicode CLDR's English day periods, through twitter_cldr. Noon and midnight go before a.m. and p.m., as CLDR
  # has them (and NIST, "Times of Day FAQs", from memory: neither a.m. nor p.m.).
  it "puts every time into the half of the day that Unicode CLDR does" do
    rules = TwitterCldr.get_locale_resource(:en, :day_periods)[:en][:default]
    exact_ones = %i[noon midnight]
    halves = %i[am pm]
    minutes = ->(time) { (time[:hour] * 60) + time[:min] }
    described_class.all.each do |day_time|
      exact = exact_ones.find { |half| minutes[rules[half][:at]] == day_time.index }
      half = halves.find { |one| (minutes[rules[one][:from]]...minutes[rules[one][:before]]).cover?(day_time.index) }
      expect(day_time.half).to eq(exact || half)
    end
  end

  it "comes twice for each time of the dial, and in order" do
    expect(described_class.of(time("7:45")).map(&:to_s)).to eq(%w[07:45 19:45])
    expect(described_class.of(time("12:00")).map(&:half)).to eq(%i[midnight noon])
    expect(described_class.all.shuffle(random: Random.new(1)).sort).to eq(described_class.all)
    expect(described_class.parse("9:05").hash).to eq(described_class.parse("09:05").hash)
  end
end
