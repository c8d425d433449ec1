# frozen_string_literal: true

RSpec.describe Vantick::Core::Simulation::SimulatedChild do
  def answers(**how)
    child = described_class.new(**how)
    all_times.first(60).map { |shown| child.answer(shown, task(:dial_to_words)) }
  end

  it "answers the same for the same seed" do
    how = { misreadings: [misreading(:sides_swapped)], consistency: 0.5, careless: 0.2 }
    first, again = Array.new(2) { answers(**how, seed: 4) }
    expect(first).to eq(again)
    expect(first).not_to eq(answers(**how, seed: 5))
  end

  it "is right throughout without a misreading" do
    expect(answers(seed: 1)).to eq(all_times.first(60).map { |shown| Vantick::Core::Wording::Phrase.usual(shown) })
  end

  it "slips in writing without ever reading wrongly" do
    written = Vantick::Core::Tasks::Task.all.select { |task| task.whole_time? && task.tolerance_minutes.zero? }
    written.each do |task|
      child = described_class.new(slips: 1.0, seed: 6)
      marked = all_times.map { |shown| Vantick::Core::Marking::Marker.mark(task:, time: shown, text: child.answer(shown, task)) }
      expect(marked.map(&:verdict).uniq - Vantick::Core::Marking::MarkedAnswer::RIGHT).to eq([])
      expect(marked.count { |one| one.verdict == :right_writing_slip }).to be > 600
    end
  end

  it "sets hands as its misreading does" do
    child = described_class.new(misreadings: [misreading(:hour_hand_left_behind)], slips: 1.0)
    expect(child.answer(time("7:45"), task(:digital_to_dial))).to eq("hour=210 minute=270")
  end

  it "answers every task, with its misreading and without" do
    (Vantick::Core::Tasks::Task.all - [task(:spot_mistake)]).each do |task|
      shown = task.times.find { |time| Vantick::Core::Reading::Misreading.for(task).any? { |wrong| wrong.chance?(time, task) } }
      planted = Vantick::Core::Reading::Misreading.for(task).find { |wrong| wrong.chance?(shown, task) }
      { right: [], misread: [planted] }.each do |verdict, misreadings|
        text = described_class.new(misreadings:).answer(shown, task)
        expect(Vantick::Core::Marking::Marker.mark(task:, time: shown, text:).verdict).to eq(verdict), task.id.to_s
      end
    end
  end

  it "spots the mistake of someone else, but not its own" do
    mistake = Vantick::Core::Choosing::Mistakes.choose(step: step(:quarter_to), count: 1,
                                                       misreadings: [misreading(:to_with_passed_hour)]).first
    text = ->(*misreadings) { described_class.new(misreadings:).answer(mistake.time, task(:spot_mistake), mistake:) }
    asked = { task: task(:spot_mistake), time: mistake.time, said: mistake.said.words }
    verdict = ->(answer) { Vantick::Core::Marking::Marker.mark(**asked, text: answer).verdict }
    expect(verdict[text[]]).to eq(:right)
    expect(verdict[text[misreading(:to_with_passed_hour)]]).to eq(:misread)
    # Whoever reads it wrongly in another way names no mistake either: the sentence would be of another time.
    expect(text[misreading(:hands_swapped)]).not_to include(";")
  end

  it "shows its misreading about as often as it is consistent" do
    verdicts = all_times.first(60).zip(answers(misreadings: [misreading(:to_with_passed_hour)], consistency: 0.5, seed: 9))
                        .map { |shown, text| mark("dial_to_words", shown.to_s, text).verdict }
    expect(verdicts.count(:misread)).to be_between(8, 22)
    expect(verdicts.tally.keys).to contain_exactly(:right, :misread)
  end
end
