# frozen_string_literal: true

RSpec.describe Vantick::Core::Desk::Feedback do
  let(:tasks) { Vantick::Core::Tasks::Task.all }

  def marked(task_id, shown, text, said = nil)
    task = task(task_id)
    Vantick::Core::Marking::Marker.mark(task:, time: task.parse_time(shown), text:, said:)
  end

  def told(...) = described_class.of(marked(...))

  it "says what was right, with the answer as the class says it" do
    expect(told(:dial_to_words, "7:45", "quarter to eight")).to include("quarter to eight")
    expect(told(:dial_to_digital, "7:45", "7:45")).to include("7:45")
    expect(told(:day_half, "19:30", "pm")).to match(/p\.m\.\z/)
  end

  it "never says the answer to a wrong one where there are more than two, and says one sentence to every misreading" do
    Vantick::Core::Reading::Misreading.all.each do |misreading|
      tasks.reject { |task| task.notation == :mistake || task.guess }.each do |task|
        time = task.times.find { |one| misreading.wrong_answers(one, task).any? } or next
        wrong = task.write(misreading.wrong_answers(time, task).first)
        marked = Vantick::Core::Marking::Marker.mark(task:, time:, text: wrong)
        next unless marked.misreadings.any? && marked.verdict == :misread

        sentence = described_class.of(marked)
        expect(sentence).to match(/[.?]\z/), "#{misreading.id} #{task.id}"
        expect(sentence).not_to include(described_class.answer(task, time)), "#{misreading.id} #{task.id}: #{sentence}"
      end
    end
  end

  it "says to which side a hand is off that was set by itself" do
    far = told(:digital_to_dial, "7:45", "hour=238 minute=270")
    near = told(:digital_to_dial, "7:45", "hour=227 minute=270")
    expect([far, near].uniq.length).to eq(2)
  end

  it "speaks of pairs together: all right, or look again" do
    right = [marked(:dial_to_digital, "7:45", "7:45"), marked(:dial_to_digital, "3:30", "3:30")]
    wrong = [right.first, marked(:dial_to_digital, "3:30", "6:15")]
    expect(described_class.of_turn(right)).not_to eq(described_class.of_turn(wrong))
    expect(described_class.of_turn(right.first(1))).to eq(described_class.of(right.first))
  end

  it "asks for another look where nothing explains an answer, and at the dial only where there is one" do
    seen = told(:dial_to_words, "7:45", "twelve past five")
    unseen = told(:words_to_digital, "7:45", "5:12")
    expect(seen).not_to eq(unseen)
  end
end
