# frozen_string_literal: true

RSpec.describe Vantick::Core::Choosing::DayStories do
  day = [{ time: "08:45", what: "lessons begin" }, { time: "10:30", what: "break" }, { time: "12:15", what: "lunch" }]

  def stories(day, id, count = 30, seed: 1) = described_class.new(day, step: step(id)).stories(count, seed:)

  # The clock and the question of each, worked out by hand.
  [["Break. What time is it 15 minutes later?", "10:30", "quarter to eleven, 10:45"],
   ["Lunch. What time was it 30 minutes before?", "12:15", "quarter to twelve, 11:45"],
   ["Lessons begin. How long is it until break, at 10:30?", "8:45", "1 hour 45 minutes"],
   ["Break. What time is it 2 hours later?", "10:30", "half past twelve, 12:30"]].each do |text, clock, answer|
    it "answers: #{text}" do
      found = stories(day, :quarters, 100).find { |story| story.text == text }
      expect([found.time.dial_time.to_s, found.answer]).to eq([clock, answer])
    end
  end

  it "takes the kinds in turn, none twice, and the same for the same number" do
    found = stories(day, :fives, 12)
    expect(found.first(3).map { |story| story.text[/later|before|until/] }).to eq(%w[later until before])
    expect(found.map(&:text).uniq.length).to eq(12)
    expect(stories(day, :fives, 12)).to eq(found)
  end

  # Step, and the shortest length that is asked.
  { oclock: 30, half_past: 30, quarters: 15, fives: 5, minutes: 5 }.each do |id, least|
    it "asks no less than #{least} minutes on #{id}" do
      minutes = stories(day, id, 100).filter_map { |story| story.text[/(\d+) minutes (?:later|before)/, 1]&.to_i }
      expect([minutes.min, minutes.map { |minute| minute % least }.uniq]).to eq([least, [0]])
    end
  end

  it "never leaves the day, and takes an ordinary one where a class has none" do
    late = [{ time: "23:50", what: "sleep" }, { time: "00:10", what: "owls" }]
    own = /Owls.*later|Owls.* (5|10) minutes before|Sleep.*before|Sleep.* 5 minutes later/
    expect(stories(late, :fives, 100).map(&:text)).to all(match(own))
    expect(stories([], :quarters, 5).length).to eq(5)
    expect(stories([{ time: "12:00", what: "noon bell" }], :oclock, 100).map(&:text)).not_to include(/until/)
  end
end
