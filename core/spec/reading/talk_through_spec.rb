# frozen_string_literal: true

RSpec.describe Vantick::Core::TalkThrough do
  def sentences(text) = described_class.sentences(time(text)).values.join(" ")

  it "names the number passed as the hour, also between twelve and one" do
    all_times.each do |shown|
      numbers = described_class.sentences(shown)[:hour].scan(/\d+/).map(&:to_i)
      expect(numbers).to eq(shown.minute.zero? ? [shown.hour_passed] : [shown.hour_passed, shown.hour_ahead])
    end
    expect(sentences("12:40")).to include("passed the 12 and is on its way to the 1")
  end

  it "counts up to exactly the minutes past or to go" do
    (all_times.reject { |shown| (shown.minute % 15).zero? }).each do |shown|
      counted = described_class.sentences(shown)[:minutes].sub("the 12", "").scan(/\d+/).map(&:to_i)
      expect(counted.last).to eq([shown.minutes_past, shown.minutes_to].min)
      expect(counted).to eq(counted.sort.uniq)
    end
  end

  # Common practice, no source: 4:49 is counted back from the twelve by fives, then ones.
  it "counts back from the twelve for a time before the hour" do
    expect(sentences("4:49")).to end_with("Count back from the 12 in fives: 5, 10. Then in ones: 11 to go.")
  end
end
