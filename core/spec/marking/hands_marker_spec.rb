# frozen_string_literal: true

RSpec.describe Vantick::Core::Marking::HandsMarker do
  def judged(task_id, shown, text) = mark(task_id, shown, text).then { |marked| [marked.verdict, *marked.misreadings] }

  # An hour hand that stands on a numeral from quarter past to quarter to has not been moved.
  def on_numeral?(hands, shown)
    degrees = hands.hour_degrees % 30
    shown.minute.between?(15, 45) && [degrees, 30 - degrees].min <= 2
  end

  it "finds the hands of every time right, and right within what a finger can do" do
    all_times.each do |shown|
      slack = shown.ticks.zero? ? 6 : 3
      [[0, 0], [7.5, slack], [-7.5, -slack]].each do |hour, minute|
        set = Vantick::Core::Dial::Hands.new(shown.hour_hand_degrees + hour, shown.minute_hand_degrees + minute)
        wanted = on_numeral?(set, shown) ? :misread : :right
        expect(mark(:digital_to_dial, shown.to_s, set.to_s).verdict).to eq(wanted), "#{shown}: #{set}"
      end
    end
  end

  it "tells an hour hand that was left on its numeral at quarter past, and one that has gone on at quarter to" do
    expect(judged(:digital_to_dial, "7:15", "hour=210 minute=90")).to eq(%i[misread hour_hand_left_behind])
    expect(judged(:digital_to_dial, "7:45", "hour=240 minute=270")).to eq(%i[misread hour_hand_on_next])
    expect(judged(:digital_to_dial, "7:10", "hour=210 minute=60")).to eq([:right])
  end

  it "finds the right gap on both sides of o'clock, and a long hand one mark off in no misreading" do
    [172, 188].each { |degrees| expect(judged(:digital_to_dial, "6:00", "hour=#{degrees} minute=0")).to eq([:right_gap]) }
    expect(judged(:digital_to_dial, "6:29", "hour=194.5 minute=180")).to eq([:unexplained])
    expect(judged(:digital_to_dial, "12:01", "hour=0.5 minute=0")).to eq([:unexplained])
  end

  it "finds hands that are further off not right" do
    expect(judged(:digital_to_dial, "7:20", "hour=220 minute=127")).to eq([:unexplained])
    expect(judged(:digital_to_dial, "7:23", "hour=221.5 minute=142")).to eq([:unexplained])
    expect(judged(:digital_to_dial, "7:23", "hour=221.5 minute=140")).to eq([:right])
  end

  it "tells the right gap, with how far off the hand is" do
    marked = mark(:digital_to_dial, "7:45", "hour=221 minute=268")
    expect([marked.verdict, marked.offset_degrees, marked.right?]).to eq([:right_gap, -11.5, false])
    expect(mark(:digital_to_dial, "12:20", "hour=20 minute=120")).to have_attributes(verdict: :right_gap, offset_degrees: 10)
  end

  { ["digital_to_dial", "7:45", "hour=210 minute=270"] => %i[misread hour_hand_left_behind],
    ["digital_to_dial", "3:30", "hour=120 minute=180"] => %i[misread hour_hand_on_next],
    ["digital_to_dial", "7:45", "hour=270 minute=232.5"] => %i[misread hands_swapped],
    ["digital_to_dial", "5:20", "hour=160 minute=240"] => %i[misread minutes_mirrored],
    ["words_to_dial", "9:05", "hour=272.5 minute=150"] => %i[misread numeral_for_minutes],
    ["words_to_dial", "7:45", "hour=262 minute=270"] => %i[misread to_hour_kept],
    ["words_to_dial", "7:45", "Hour = 247.5, minute = 90"] => %i[misread to_taken_as_past],
    ["words_to_dial", "7:45", "quarter to eight"] => [:unreadable], ["words_to_dial", "7:45", "hour=1e9 minute=2"] => [:unreadable],
    ["words_to_dial", "7:45", "-"] => [:blank] }.each do |(task_id, shown, text), verdict|
    it("judges #{text} at #{shown}, #{task_id}: #{verdict.join(' ')}") { expect(judged(task_id, shown, text)).to eq(verdict) }
  end

  it "refuses 10,000 characters" do
    expect { mark(:words_to_dial, "7:45", "9" * 10_000) }.to raise_error(Vantick::Core::AnswerTooLong)
  end
end
