# frozen_string_literal: true

RSpec.describe Vantick::Core::Choosing::Balance do
  def balance(step_id, count, avoid = []) = described_class.new(step(step_id).pool, count, avoid)

  def faults(step_id, *texts, avoid: []) = balance(step_id, texts.length, avoid).faults(texts.map { |text| time(text) })

  it "finds nothing wrong with a good spread" do
    expect(faults(:quarters, "3:00", "4:30", "6:15", "1:45", "12:45")).to all(eq(0))
  end

  it "tells each fault apart: avoided, hours, minutes, hidden hands, sides, the twelve" do
    expect(faults(:quarters, "3:00", "4:30", "6:15", "1:45", "12:45", avoid: [time("3:00")])).to eq([1, 0, 0, 0, 0, 0])
    expect(faults(:quarters, "3:00", "3:30", "6:15", "1:45", "12:45")).to eq([0, 1, 0, 0, 0, 0])
    expect(faults(:quarters, "3:45", "4:30", "6:45", "1:45", "12:15")).to eq([0, 0, 2, 0, 0, 0])
    expect(faults(:quarters, "3:15", "4:30", "6:00", "1:45", "12:45")).to eq([0, 0, 0, 1, 0, 0])
    expect(faults(:fives, "3:00", "4:30", "6:15", "1:25", "12:05")).to eq([0, 0, 0, 0, 2, 0])
    expect(faults(:quarters, "3:00", "4:30", "6:15", "1:45", "2:45")).to eq([0, 0, 0, 0, 0, 1])
  end

  it "asks no more of a side than minutes taken in turn can give" do
    expect(faults(:quarters, "3:00", "4:30", "6:15", "1:45")).to all(eq(0))
  end

  it "passes over a wish that leaves nothing" do
    everything = step(:oclock).pool
    expect(balance(:oclock, 3, everything).next_from([])).not_to be_empty
    expect(balance(:oclock, 12).next_from(everything - [time("12:00")])).to eq([time("12:00")])
  end

  it "begins with the twelve hour where a slip is long enough" do
    expect(balance(:fives, 5).next_from([]).map(&:hour).uniq).to eq([0])
    expect(balance(:fives, 4).next_from([]).map(&:hour).uniq.length).to eq(12)
  end
end
