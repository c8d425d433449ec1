# frozen_string_literal: true

RSpec.describe Vantick::Core::Dial::DrawingCheck do
  def check(hour, minute) = described_class.new(Vantick::Core::Dial::Hands.new(hour, minute))

  it "finds every time in its own picture, well placed and with nothing to say against it" do
    all_times.each do |shown|
      found = described_class.new(shown.hands)
      expect([found.time, found.offset_degrees, found.margin_degrees, found.verdict, found.invites]).to eq([shown, 0, 30, :well_placed, []])
    end
  end

  it "finds the time again while the hour hand is less than half an hour off, either way" do
    all_times.product([-14.5, -7.5, 7.5, 14.5]) do |shown, off|
      found = check(shown.hour_hand_degrees + off, shown.minute_hand_degrees + 2.9)
      expect([found.time, found.offset_degrees]).to eq([shown, off])
      expect(found.margin_degrees).to eq(30 - (2 * off.abs))
    end
  end

  it "says where the hand is and where it belongs" do
    expect(check(120, 270)).to have_attributes(time: time("3:45"), verdict: :readable, invites: [:next_hour_early])
    expect(check(120, 270).reason).to eq("The hour hand is on the 4. At 3:45 it belongs three quarters of the way from the 3 to the 4.")
    expect(check(132, 270)).to have_attributes(time: time("4:45"), verdict: :misleading)
    expect(check(132, 270).reason).to start_with("The hour hand is between the 4 and the 5.")
    expect(check(132, 270).invites).to include(:to_with_passed_hour)
    expect(check(90, 0).reason).to eq("The hour hand is where it belongs.")
    expect(check(352, 180).reason).to match(/between the 11 and the 12.*At 11:30 it belongs halfway/)
  end

  it "draws the line at five degrees and at ten" do
    verdict = ->(off) { check(225 + off, 180).verdict }
    expect([5, 5.1, 10, 10.1].map(&verdict)).to eq(%i[well_placed readable readable misleading])
    expect([-5, -5.1, -10, -10.1].map(&verdict)).to eq(%i[well_placed readable readable misleading])
  end

  it "takes any angle, however often it goes round" do
    expect(check(232.5 + 720, 270 - 360).time).to eq(time("7:45"))
  end
end
