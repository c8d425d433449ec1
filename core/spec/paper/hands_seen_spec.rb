# frozen_string_literal: true

require_relative "drawings"

RSpec.describe Vantick::Core::Paper::HandsSeen do
  include Drawings

  def furthest(read, drawn) = [read.hour_degrees, read.minute_degrees].zip(drawn).map { |one, other| apart(one, other) }.max

  def seen(*drawn, **how) = described_class.new(hands(*drawn, **how))

  # Every hour and quarter of the dial, but where the hands lie over each other.
  Vantick::Core::Dial::DialTime.all.select { |time| (time.minute % 20) == 5 && time.hands.gap_degrees > 12 }.each do |time|
    it "are seen at #{time}, within two degrees, the longer one as the minute hand" do
      drawn = time.hands
      found = seen([drawn.hour_degrees, 0.55], [drawn.minute_degrees, 0.9])
      expect(found).to be_sure
      read = found.readings.first
      expect(apart(read.hour_degrees, drawn.hour_degrees)).to be < 2
      expect(apart(read.minute_degrees, drawn.minute_degrees)).to be < 2
    end
  end

  it "are not told for certain where they are as long as each other, or are not two" do
    [[[30, 0.8], [200, 0.82]], [[100, 0.9]], [[0, 0.9], [120, 0.6], [240, 0.8]]].each do |drawn|
      expect(seen(*drawn)).not_to be_sure
    end
    expect(seen([30, 0.8], [200, 0.82]).readings.length).to eq(2)
    expect(described_class.new(picture(138, 138))).to be_blank
    expect(seen([100, 0.9])).not_to be_blank
  end

  it "are seen in a light pencil, and a dirty one" do
    [{ grey: 190 }, { grey: 20, breadth: 5 }].each { |how| expect(seen([20, 0.55], [200, 0.9], **how)).to be_sure }
  end

  it "are found where made-up children point them to, nine of ten times without a person" do
    off = (1..120).map do |seed|
      time = all_times[(seed * 173) % 720]
      drawn = [time.hands.hour_degrees.to_f, time.hands.minute_degrees.to_f]
      found = described_class.new(drawn_by_child(seed, drawn))
      furthest(found.readings.first, drawn) if found.sure?
    end
    expect(off.compact.length).to be >= 108
    expect(off.compact.count { |degrees| degrees < 2 }).to be >= off.compact.length * 0.9
    expect(off.compact.max).to be < 8
  end
end
