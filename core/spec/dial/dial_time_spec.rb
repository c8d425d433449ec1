# frozen_string_literal: true

RSpec.describe Vantick::Core::Dial::DialTime do
  # Ruby's own clock as the outside source: a day of 1,440 minutes, from midnight.
  let(:day) { Array.new(1440) { |minute| Time.utc(2026, 1, 1) + (minute * 60) } }

  it "writes every minute of a day as Ruby's strftime %-I:%M does (ISO 8601 hours and minutes)" do
    day.each do |clock|
      expect(described_class.parse(clock.strftime("%H:%M")).digital).to eq(clock.strftime("%-I:%M"))
    end
  end

  it "reads back what it writes, for all 720 times" do
    expect(all_times.map { |shown| described_class.parse(shown.to_s) }).to eq(all_times)
    expect(all_times.map(&:digital).uniq.length).to eq(720)
  end

  # Common practice, no source: a full turn of the long hand is sixty minutes, of the short one twelve hours.
  it "moves the long hand six degrees a minute and the short hand half a degree" do
    all_times.each_cons(2) do |before, after|
      expect((after.minute_hand_degrees - before.minute_hand_degrees) % 360).to eq(6)
      expect(after.hour_hand_degrees - before.hour_hand_degrees).to eq(0.5)
    end
  end

  # School textbooks, common practice: the angle between the hands is |30h - 5.5m|, or 360 less it.
  it "agrees with the textbook's angle between the hands" do
    all_times.each do |shown|
      angle = ((30 * shown.hour) - (5.5 * shown.minute)).abs
      expect(shown.gap_degrees).to eq([angle, 360 - angle].min)
    end
  end

  # Common practice, no source: halfway at half past, a quarter of the way at quarter past.
  it "puts the hour hand between numerals" do
    { "7:30" => 225, "7:15" => 217.5, "7:55" => 237.5, "12:30" => 15 }.each do |text, degrees|
      expect(time(text).hour_hand_degrees).to eq(degrees)
    end
  end

  it "tells the hour passed, the hour ahead and the side" do
    told = ->(text) { time(text).then { |shown| [shown.hour_passed, shown.hour_ahead, shown.side, shown.minutes_to] } }
    expect(told["12:00"]).to eq([12, 1, :oclock, 60])
    expect(told["12:30"]).to eq([12, 1, :past, 30])
    expect(told["12:31"]).to eq([12, 1, :to, 29])
    expect(told["11:59"]).to eq([11, 12, :to, 1])
    # Common practice, no source: 10:57 looks like eleven to a child, and is still in the tenth hour.
    expect(told["10:57"].first).to eq(10)
  end

  it "tells the numeral and the ticks of the minute hand" do
    all_times.each { |shown| expect(((shown.minute_numeral % 12) * 5) + shown.ticks).to eq(shown.minute) }
  end

  it "hides a hand below fifteen degrees and not at fifteen" do
    expect(time("6:30")).to have_attributes(gap_degrees: 15, hidden_hand?: false)
    expect(time("1:05")).to be_hidden_hand
  end

  it "refuses what is no time, in one line that says what to write" do
    ["25:99", "7:60", "24:00", "7", "7:5", "-1:00", "", nil, "7:45:00", "x" * 10_000, "\xFF7:45"].each do |bad|
      expect { described_class.parse(bad) }
        .to raise_error(Vantick::Core::InvalidTime) { |error| expect(error.message).to match(/\A.{1,200}7:45\.\z/) }
    end
  end

  it "is frozen, comparable and equal by value" do
    expect(all_times).to all(be_frozen)
    expect(time("7:45")).to eql(time("19:45"))
    expect([time("3:00"), time("1:00")].min).to eq(time("1:00"))
    expect(time("7:45") == "7:45").to be(false)
  end

  it "has the times with the minute hand on a numeral, and pairs of numerals among them" do
    expect(described_class.fives.map(&:minute).uniq).to eq((0..55).step(5).to_a)
    expect(described_class.fives.length).to eq(144)
    expect(described_class.between_numerals - described_class.fives).to eq([])
  end
end
