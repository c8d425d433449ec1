# frozen_string_literal: true

RSpec.describe Vantick::Core::Desk::Spoken do
  let(:core) { Vantick::Core }
  let(:random) { Random.new(5) }

  it "takes text apart as it is heard" do
    { "It is 7:05, twenty-five to 8 p.m." => %w[it is 7 05 twenty-five to 8 pm], "That’s right!" => %w[that's right],
      "12.45" => %w[12 45], "" => [] }.each { |text, words| expect(described_class.words(text)).to eq(words) }
  end

  # Classes of every way of speaking, in any mixture, and children who answer anything.
  it "has a sound for each word of what a child can be asked or told" do
    60.times do
      conventions = core::Wording::Conventions.new(**core::Wording::Conventions::TABLE.transform_values { |all| all.sample(random:) })
      times = core::Dial::DialTime.all.sample(12, random:)
      missing = described_class.texts(conventions, times:).flat_map { |text| described_class.missing(text.gsub(/%\{\w+\}/, "")) }
      told = times.flat_map do |time|
        core::Desk::DeskTask.all.map(&:task).select { |task| task.asks == :time && task.notation != :mistake }.map do |task|
          answer = task.write(task.right_answer(times.sample(random:)), conventions)
          core::Desk::Feedback.of(core::Marking::Marker.mark(task:, time:, text: answer, conventions:), conventions)
        end
      end
      expect((missing + told.flat_map { |text| described_class.missing(text) }).uniq).to eq([])
    end
  end

  it "says what is always the same as a whole, and of what changes the words" do
    pieces = described_class.pieces
    expect(pieces).to include("read the short hand first then the long hand" => "Read the short hand first, then the long hand.")
    expect(pieces).to include("quarter" => "quarter", "am" => "A M", "05" => "oh 5", "twenty-five" => "twenty-five")
    expect(pieces.keys.grep(/%|[A-Z.?!]/)).to eq([])
    expect(pieces.length).to be_between(300, 900)
  end

  it "speaks slowly, and has its numbers from the table" do
    expect(described_class::TABLE[:voice]).to eq(name: "en-gb", american: "en-us", speed: 135, pitch: 55)
    expect(described_class::TABLE[:fewest]).to eq(3)
  end
end
