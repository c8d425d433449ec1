# frozen_string_literal: true

RSpec.describe Vantick::Core::Desk::Strips do
  core = Vantick::Core
  sets = %w[past,to after,of plain till before,plain].map { |names| core::Wording::Conventions.parse(names) }

  # A time as it is built: what stands in each place, from the words of that place's strip alone.
  def built(time, conventions, strips)
    count = Vantick::Core::Wording::Counted.usual(time).words(conventions).split(/[ -]/)
    hour = Vantick::Core::Wording::NumberWords.standard.spell(Vantick::Core::Wording::SpokenTime.usual(time).hour)
    sides = strips.fetch(:side)
    said = { count: count - sides, side: count & sides, hour: [hour] }
    expect(said).to all(satisfy { |part, words| (words - strips.fetch(part, [])).empty? })
    time.side == :oclock ? [hour, *said[:side]] : said.values.flatten
  end

  core::Curriculum::Step.with_times.each do |step|
    it "hold every word that #{step.name.downcase} is said with, by what it is for, and are read as they were meant" do
      task = core::Tasks::Task.find(:dial_to_words)
      sets.each do |conventions|
        strips = described_class.for(step, conventions).to_h { |strip| [strip.part, strip.words] }
        expect(strips.values.map(&:uniq)).to eq(strips.values)
        step.pool.each do |time|
          text = built(time, conventions, strips).join(" ")
          expect(core::Marking::Marker.mark(task:, time:, text:, conventions:).verdict).to eq(:right), text
        end
      end
    end
  end

  it "are few: a screen of a phone holds one of them" do
    expect(described_class.for(core::Curriculum::Step.find(:quarters)).map { |strip| strip.words.length }).to eq([2, 3, 12])
    strips = core::Curriculum::Step.with_times.flat_map { |step| described_class.for(step) }
    expect(strips.map { |strip| strip.words.length }.max).to be <= 24
  end

  it "leave the hours out where minutes alone are asked for" do
    found = described_class.for(core::Curriculum::Step.find(:quarters), whole: false)
    expect(found.map { |strip| strip.to_h.slice(:part, :label, :words) })
      .to eq([{ part: :count, label: "how many", words: %w[quarter half] },
              { part: :side, label: '"past" or "to"', words: ["past", "to", "o'clock"] }])
  end

  it "say which words another may follow, which follow a number, and which stand behind the hour" do
    count, side, hour = described_class.for(core::Curriculum::Step.find(:minutes))
    expect([count.tens, count.units, side.after_hour]).to eq([%w[twenty], %w[minute minutes], ["o'clock"]])
    expect([hour.tens, hour.units, hour.after_hour, side.tens]).to all(be_empty)
  end

  it "have both sides wherever one is said, in the class's words" do
    core::Curriculum::Step.with_times.each do |step|
      strip = described_class.for(step, core::Wording::Conventions.parse("after,before")).find { |one| one.part == :side }
      expect((strip.words & %w[after before]).length).not_to eq(1), step.id.to_s
    end
  end
end

RSpec.describe Vantick::Core::Wording::DayPlace do
  day = [{ time: "07:50", what: "the ferry leaves" }, { time: "12:15", what: "lunch" }]

  def at(text) = Vantick::Core::Dial::DayTime.parse(text)

  it "is what happens then, or what comes before and after" do
    { "07:50" => ["the ferry leaves", nil, nil], "09:00" => [nil, "the ferry leaves", "lunch"],
      "06:00" => [nil, "lunch", "the ferry leaves"], "22:00" => [nil, "lunch", "the ferry leaves"] }.each do |text, found|
      expect(described_class.of(at(text), day).values_at(:at, :after, :before)).to eq(found), text
    end
  end

  it "is an ordinary day for a class without one of its own" do
    expect(described_class.of(at("12:15"), [])).to include(at: "lunch")
  end
end
