# frozen_string_literal: true

# Ways of writing an answer: what the marker makes of each is said where they are used.
RSpec.describe Vantick::Core::Wording::Spellings do
  def time(text) = Vantick::Core::Dial::DialTime.parse(text)

  def saying(count, side, hour) = Vantick::Core::Wording::SpokenTime.new(count, side, hour)

  it "writes digits with each sign, and with a nought before the hour" do
    expect(described_class.of(time("7:45"))).to eq(["7:45", "07:45", "7.45", "07.45", "7 45", "07 45"])
    expect(described_class.of(time("12:00"))).to eq(["12:00", "12.00", "12 00"])
  end

  it "writes words with every word for the side, or with the class's own alone" do
    said = described_class.of(saying(15, :to, 8))
    expect(said).to include("quarter to eight", "a quarter till 8", "fifteen before eight", "15 minutes of 8")
    american = Vantick::Core::Wording::Conventions.new(past_word: :after)
    expect(described_class.of(saying(15, :past, 8), american)).to all(include("after"))
    expect(described_class.of(saying(0, :oclock, 8))).to eq(["eight o'clock", "eight oclock", "eight", "8 o'clock", "8 oclock", "8"])
  end

  it "writes a count with and without its minutes, and forwards also without a side" do
    counted = Vantick::Core::Wording::Counted
    expect(described_class.of(counted.new(20, :past))).to include("twenty past", "20 minutes past", "20", "twenty minutes")
    expect(described_class.of(counted.new(20, :to))).to all(match(/ (to|of|till|before)\z/))
  end

  # Whatever is written for a time is read as that time: at every minute of the dial.
  it "writes nothing that the reader takes for another time" do
    Vantick::Core::Dial::DialTime.all.each do |asked|
      described_class.of_time(asked).each do |text|
        read = Vantick::Core::Wording::AnswerReader.read(text)
        read = Vantick::Core::Wording::AnswerReader.hour_alone(text, :words) if read.empty? && asked.minute.zero?
        expect(read.map(&:time)).to include(asked), "#{asked}: #{text}"
      end
    end
  end
end
