# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::ClassStanding do
  # A child's answers to clocks at quarters, on one day.
  def asked(answers, day: 0)
    answers.map do |shown, text|
      Vantick::Core::Teaching::Standing::Asked.new(step: step(:quarters), marked: mark(:dial_to_words, shown, text), day:)
    end
  end

  let(:passed) { { "7:45" => "quarter to seven", "3:45" => "quarter to three", "8:45" => "quarter to eight", "4:45" => "quarter to four" } }
  let(:right) { { "7:45" => "quarter to eight", "3:45" => "quarter to four", "8:30" => "half past eight", "4:15" => "quarter past four" } }

  def standing(*children)
    answered = children.each.with_index(1).to_h { |answers, id| [id, asked(answers)] }
    described_class.new(answered, today: 0, lessons: [])
  end

  it "tells what a child has become secure on in a week" do
    first, more = [%w[one two three four], %w[five six seven eight]].map.with_index do |words, at|
      words.each.with_index(1).to_h { |word, hour| ["#{hour + (4 * at)}:30", "half past #{word}"] }
    end
    later = { 1 => [*asked(first, day: -20), *asked(more, day: -3)], 2 => [*asked(first, day: -20), *asked(more, day: -9)], 3 => [] }
    found = described_class.new(later, today: 0)
    expect([1, 2].map { |key| found.by_child[key].states[step(:half_past)] }).to eq(%i[secure secure])
    expect([1, 2, 3].map { |key| found.newly_secure(key) }).to eq([[step(:half_past)], [], []])
  end

  it "names the misreading that most of the class are likely to have, where the step can show it" do
    group = standing(passed, passed, right)
    expect(group.misreading_on(step(:quarter_to))&.id).to eq(:to_with_passed_hour)
    expect(group.misreading_on(step(:oclock))).to be_nil
    expect(standing(right, right).misreading_on(step(:quarter_to))).to be_nil
  end
end
