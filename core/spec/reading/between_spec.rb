# frozen_string_literal: true

RSpec.describe Vantick::Core::Reading::Between do
  def between(one, other) = described_class.new(*[one, other].map { |text| Vantick::Core::Dial::DialTime.parse(text) })

  # One, other: which is earlier, minutes, and the minutes of each part of the way. Worked out by hand on a number line.
  [["7:45", "8:20", :one, 35, [15, 20]], ["8:20", "7:45", :other, 35, [15, 20]], ["3:00", "3:25", :one, 25, [25]],
   ["3:10", "3:25", :one, 15, [15]], ["2:50", "5:00", :one, 130, [10, 120]], ["1:05", "4:10", :one, 185, [55, 120, 10]],
   ["12:15", "1:00", :one, 45, [45]], ["6:00", "9:00", :one, 180, [180]],
   ["4:40", "4:40", :same, 0, []]].each do |one, other, earlier, minutes, hops|
    it "tells which of #{one} and #{other} is earlier, and how long it is" do
      found = between(one, other)
      expect([found.earlier, found.minutes, found.hops.map(&:minutes)]).to eq([earlier, minutes, hops])
    end
  end

  it "goes from one to the other without a gap, for all pairs of fives" do
    times = Vantick::Core::Dial::DialTime.all.select { |time| (time.minute % 5).zero? }
    times.combination(2).each do |one, other|
      found = described_class.new(one, other)
      expect(found.hops.sum(&:minutes)).to eq(found.minutes)
      expect(found.hops.map(&:from)).to eq([one, *found.hops[0...-1].map(&:to)])
    end
  end

  it "says it in the class's words" do
    expect(between("7:45", "8:20").sentences).to eq(
      ["Quarter to eight is earlier.", "From quarter to eight to eight o'clock: 15 minutes.",
       "From eight o'clock to twenty past eight: 20 minutes.", "Together: 35 minutes."]
    )
    expect(between("3:00", "4:00").sentences).to eq(["Three o'clock is earlier.", "From three o'clock to four o'clock: 1 hour."])
    expect(between("4:40", "4:40").sentences).to eq(["Both clocks say twenty to five."])
  end

  it "names minutes and hours as one or many" do
    lengths = [0, 1, 60, 61, 125].map { |minutes| described_class.length(minutes) }
    expect(lengths).to eq(["0 minutes", "1 minute", "1 hour", "1 hour 1 minute", "2 hours 5 minutes"])
  end
end
