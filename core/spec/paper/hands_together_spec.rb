# frozen_string_literal: true

require_relative "drawings"

RSpec.describe Vantick::Core::Paper::HandsTogether do
  include Drawings

  let(:seen) { Vantick::Core::Paper::HandsSeen }

  # The hour hand a few degrees before and after the minute hand, all round the dial, from the middle and from a little aside of it.
  [-9, -6, 6, 9].product([0, 35, 90, 144, 215, 301], [[0, 0], [4, -3]]).each do |aside, long, start|
    it "sees a short hand #{aside} degrees from a long one at #{long}, begun at #{start.join(', ')}" do
      found = seen.new(hands([long + aside, 0.55, start], [long, 0.92], grey: 70))
      expect(found).to be_sure
      read = found.readings.first
      expect(apart(read.minute_degrees, long)).to be < 2
      expect(apart(read.hour_degrees, long + aside)).to be < 3.5
    end
  end

  it "waits for a person where one hand covers the other, where there is one alone, and where one is drawn twice" do
    expect(seen.new(hands([60, 0.55], [60, 0.92]))).not_to be_sure
    expect(seen.new(hands([60, 0.92]))).not_to be_sure
    expect(seen.new(hands([60, 0.92], [61, 0.9, [2, 2]]))).not_to be_sure
  end

  it "finds two hands of made-up children that lie along each other, seven of ten times without a person, and none astray" do
    off = (1..60).map do |seed|
      long = (seed * 47) % 360
      drawn = [long + (((seed % 9) - 4) * 2), long]
      found = seen.new(drawn_by_child(seed, drawn))
      apart(found.readings.first.hour_degrees, drawn.first) if found.sure?
    end
    expect(off.compact.length).to be >= 42
    expect(off.compact.max).to be < 8
    expect(off.compact.sort[off.compact.length / 2]).to be < 1.5
  end
end
