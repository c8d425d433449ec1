# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::ClassProgress do
  # A child's answers to clocks at quarters, on one day.
  def asked(answers, day: 0, task: :dial_to_words)
    answers.map do |shown, text|
      Vantick::Core::Curriculum::ItemResponse.new(step: step(:quarters), marked: mark(task, shown, text), day:)
    end
  end

  # The same clocks in words and in digits.
  def both(answers, day:)
    asked(answers, day:) + asked(answers.to_h { |shown, _| [shown, shown] }, day:, task: :dial_to_digital)
  end

  let(:passed) { { "7:45" => "quarter to seven", "3:45" => "quarter to three", "8:45" => "quarter to eight", "4:45" => "quarter to four" } }
  let(:right) { { "7:45" => "quarter to eight", "3:45" => "quarter to four", "8:30" => "half past eight", "4:15" => "quarter past four" } }

  def progress(*children)
    answered = children.each.with_index(1).to_h { |answers, id| [id, asked(answers)] }
    described_class.new(answered, today: 0)
  end

  it "tells what a child has become secure on in a week" do
    first, more = [%w[one two three four], %w[five six seven eight]].map.with_index do |words, at|
      words.each.with_index(1).to_h { |word, hour| ["#{hour + (4 * at)}:30", "half past #{word}"] }
    end
    later = { 1 => [*both(first, day: -20), *both(more, day: -3)], 2 => [*both(first, day: -20), *both(more, day: -9)], 3 => [] }
    found = described_class.new(later, today: 0)
    expect([1, 2].map { |key| found.by_child[key].states[step(:half_past)] }).to eq(%i[secure secure])
    expect([1, 2, 3].map { |key| found.newly_secure(key) }).to eq([%i[hour_hand oclock half_past].map { |id| step(id) }, [], []])
  end

  it "knows when anybody was last asked on a step" do
    group = described_class.new({ 1 => asked(right, day: -5), 2 => asked(passed, day: -2), 3 => [] }, today: 0)
    expect([group.last_day(step(:quarters)), group.last_day(step(:fives))]).to eq([-2, nil])
  end

  it "names the misreading that most of the class are likely to have, where the step can show it" do
    group = progress(passed, passed, right)
    expect(group.misreading_on(step(:quarter_to))&.id).to eq(:to_with_passed_hour)
    expect(group.misreading_on(step(:oclock))).to be_nil
    expect(progress(right, right).misreading_on(step(:quarter_to))).to be_nil
  end

  it "takes a lesson to come after mistakes where a good part of the class has one and the same" do
    found = [progress(passed, right, right), progress(passed, *([right] * 9)), progress(right)].map do |group|
      group.mistaken_on(step(:quarter_to))&.id
    end
    expect(found).to eq([:to_with_passed_hour, nil, nil])
  end
end
