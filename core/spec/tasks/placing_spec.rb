# frozen_string_literal: true

# How near is near: bounds of the hands, for every time of the dial.
RSpec.describe Vantick::Core::Tasks::Placing do
  def hands(time, hour: 0, minute: 0)
    Vantick::Core::Dial::Hands.new((time.hour_hand_degrees + hour) % 360, (time.minute_hand_degrees + minute) % 360)
  end

  def placing(time) = described_class.new(time)

  # On a mark of five a child has the numeral to aim at; between them one mark would be another time.
  it "lets the long hand be off by a mark at fives, by half of one between them, and no more" do
    all_times.each do |time|
      most = time.ticks.zero? ? 6 : 3
      right = [-most - 0.5, -most, 0, most, most + 0.5].map { |off| placing(time).minute_right?(hands(time, minute: off)) }
      expect(right).to eq([false, true, true, true, false]), time.to_s
    end
  end

  it "lets the short hand be off by 7.5 degrees either way, and no more" do
    all_times.each do |time|
      near = [-8, -7.5, 0, 7.5, 8].map { |off| placing(time).near?(hands(time, hour: off), time.hands) }
      expect(near).to eq([false, true, true, true, false]), time.to_s
    end
  end

  it "finds no short hand right that was left on its numeral at quarter past, nor one that is there too early at quarter to" do
    all_times.select { |time| [15, 45].include?(time.minute) }.each do |time|
      numeral = time.minute == 15 ? -7.5 : 7.5
      on, off = [numeral, numeral * 0.7].map { |hour| placing(time).right?(hands(time, hour:)) }
      expect([on, off]).to eq([false, true]), time.to_s
    end
  end

  it "finds the gap of every time but o'clock from its first numeral to its second" do
    all_times.reject { |time| time.minute.zero? }.each do |time|
      into = time.hour_hand_degrees % 30
      gaps = [-into - 1, -into, 30 - into, 31 - into].map { |hour| placing(time).right_gap?(hands(time, hour:)) }
      expect(gaps).to eq([false, true, true, false]), time.to_s
    end
  end

  it "says how far the short hand is off, positive when it has gone too far, the nearer way round over the twelve" do
    [["12:00", 20], ["12:00", -20], ["11:30", 30], ["6:45", -100], ["12:30", 170]].each do |text, off|
      expect(placing(time(text)).hour_offset(hands(time(text), hour: off))).to be_within(1e-9).of(off)
    end
  end

  it "takes a long hand up to one mark off for a slip, and a further one for what it is nearer to" do
    at = time("7:23")
    wanted = Vantick::Core::Dial::Hands.new(at.hour_hand_degrees, 150)
    found = [0, 3, 5, 8, 11].to_h { |off| [off, placing(at).nearer?(hands(at, minute: off), wanted)] }
    expect(found).to eq(0 => true, 3 => true, 5 => false, 8 => true, 11 => true)
  end
end
