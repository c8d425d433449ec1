# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::ClassHistory do
  let(:words) { task(:dial_to_words) }

  def asked(text, answer, day)
    marked = Vantick::Core::Marking::Marker.mark(task: words, time: time(text), text: answer)
    Vantick::Core::Teaching::Standing::Asked.new(step: step(:quarters), marked:, day:)
  end

  it "counts the secure at each week's end, and the misreadings of each week" do
    times = %w[1:00 2:15 3:30 4:45 5:00 6:15 7:30 8:45].zip([1, 2].cycle)
    right = times.map { |text, day| asked(text, words.right_answer(time(text)).to_s, day) }
    lost = [asked("9:45", "quarter to nine", 9), asked("10:45", "quarter to ten", 9)]
    weeks = described_class.of({ anneke: right, bram: lost }, today: 15)
    expect(weeks.map(&:day)).to eq([1, 8, 15])
    expect(weeks.map { |week| week.secure[step(:quarters)] }).to eq([0, 1, 1])
    expect(weeks.map { |week| week.misreadings.transform_keys(&:id) }).to eq([{}, {}, { to_with_passed_hour: 1 }])
    expect(weeks.sum(&:answers)).to eq(10)
  end

  it "has nothing to tell without answers, and looks back on a school year at most" do
    expect(described_class.of({ anneke: [] }, today: 5)).to eq([])
    expect(described_class.of({ anneke: [asked("1:00", "one o'clock", 0)] }, today: 400).length).to eq(described_class::MOST)
  end
end
