# frozen_string_literal: true

# Known answers of clock puzzles, as in H. E. Dudeney, Amusements in Mathematics, 1917 (from memory).
RSpec.describe Vantick::Core::Dial::Hands do
  # The hands after so many minutes, exactly.
  def hands(minutes) = described_class.new(Rational(minutes, 2), Rational(minutes * 6))

  # Times within twelve hours at which the angle from the hour hand to the minute hand is this.
  def meetings(angle)
    signed = ->(minutes) { hands(minutes).then { |at| (at.minute_degrees - at.hour_degrees - angle) % 360 } }
    (0...720).count do |minutes|
      signed.call(minutes).zero? || (signed.call(minutes) > signed.call(minutes + 1) && !signed.call(minutes + 1).zero?)
    end
  end

  it "brings the hands together eleven times in twelve hours" do
    expect(meetings(0)).to eq(11)
  end

  it "sets them opposite eleven times and at a right angle twenty-two times" do
    expect(meetings(180)).to eq(11)
    expect(meetings(90) + meetings(270)).to eq(22)
  end

  it "finds 143 places where the hands changed over are still a time, 11 of them the meetings" do
    offsets = (0..1430).map { |place| hands(Rational(720 * place, 1430)).swapped.hour_hand_offset_degrees }
    exact = offsets.first(1430).each_index.select { |place| offsets[place].zero? }
    expect(exact.length).to eq(143)
    missed = offsets.each_cons(2).count { |before, after| (before * after).negative? && (before - after).abs < 15 }
    expect(missed).to eq(0)
    expect(exact.count { |place| hands(Rational(720 * place, 1430)).gap_degrees.zero? }).to eq(11)
  end

  it "finds no offset in any picture of a true time" do
    expect(all_times.map { |shown| shown.hands.hour_hand_offset_degrees }).to all(eq(0))
  end

  it "tells how far the hour hand is off, and to which side" do
    expect(described_class.new(120, 270).hour_hand_offset_degrees).to eq(7.5)
    expect(described_class.new(105, 90).hour_hand_offset_degrees).to eq(7.5)
    expect(described_class.new(90, 90).hour_hand_offset_degrees).to eq(-7.5)
  end

  it "is the same as other hands at the same angles alone" do
    hands = described_class.new(232.5, 270)
    expect(hands).to eq(described_class.new(232.5, 270))
    expect(hands).to eql(described_class.new(232.5, 270.0))
    [described_class.new(232.5, 90), described_class.new(52.5, 270), time("7:45"), "hour=232.5 minute=270"].each do |other|
      expect(hands).not_to eq(other)
    end
  end
end
