# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::ClassHistory do
  let(:words) { task(:dial_to_words) }

  def history(by_child, today:) = described_class.of(Vantick::Core::Teaching::ClassProgress.new(by_child, today:), today:)

  def asked(text, answer, day, with = words)
    marked = Vantick::Core::Marking::Marker.mark(task: with, time: time(text), text: answer)
    Vantick::Core::Curriculum::ItemResponse.new(step: step(:quarters), marked:, day:)
  end

  it "counts the secure at each week's end, and the misreadings of each week" do
    times = %w[1:00 2:15 3:30 4:45 5:00 6:15 7:30 8:45 9:00 10:15 11:30 12:45 2:00 3:15 4:30 5:45].zip([1, 1, 1, 1, 2, 2, 2, 2].cycle)
    right = times.flat_map do |text, day|
      [words, task(:dial_to_digital)].map do |with|
        asked(text, with.right_answer(time(text)).to_s, day, with)
      end
    end
    lost = [asked("9:45", "quarter to nine", 9), asked("10:45", "quarter to ten", 9)]
    weeks = history({ anneke: right, bram: lost }, today: 15)
    expect(weeks.map(&:day)).to eq([1, 8, 15])
    expect(weeks.map { |week| week.secure[step(:quarters)] }).to eq([0, 1, 1])
    expect(weeks.map { |week| week.misreadings.transform_keys(&:id) }).to eq([{}, {}, { to_with_passed_hour: 1 }])
    expect(weeks.sum(&:answers)).to eq(34)
  end

  it "counts those of the secure whose review is due, the last week as it is told today" do
    right = %w[1:00 2:15 3:30 4:45].product([1, 3, 5, 8]).flat_map do |text, day|
      [words, task(:dial_to_digital)].map { |with| asked(text, with.right_answer(time(text)).to_s, day, with) }
    end.sort_by(&:day)
    weeks = history({ anneke: right }, today: 120)
    due = weeks.map { |week| week.review_due.fetch(step(:quarters), 0) }
    expect([due.first, due.last]).to eq([0, 1])
    expect(due).to eq(due.sort)
    expect(weeks.map { |week| week.secure[step(:quarters)] }.last).to eq(1)
    told = Vantick::Core::Teaching::ChildProgress.new(right, today: 120)
    expect(told.review_due).to match_array(told.review_due_on(120) | told.review_due.reject { |one| told.states[one] == :secure })
  end

  it "has nothing to tell without answers, and looks back on a school year at most" do
    expect(history({ anneke: [] }, today: 5)).to eq([])
    expect(history({ anneke: [asked("1:00", "one o'clock", 0)] }, today: 400).length).to eq(described_class::MOST)
  end
end
