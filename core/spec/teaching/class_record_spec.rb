# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::ClassRecord do
  it "is the record of a day with the lesson of that day and none of later days" do
    lessons = [3, 7, 8].map { |day| Vantick::Core::Teaching::SchemeOfWork::GivenLesson.new(step: step(:quarters), day:) }
    record = described_class.new(lessons:, away: { 4 => [7] })
    expect(record.until(7).lessons.map(&:day)).to eq([3, 7])
    expect(record.until(7).away).to eq(4 => [7])
  end
end
