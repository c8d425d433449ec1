# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::Offered do
  def answers(count, day)
    task = Vantick::Core::Tasks::Task.find(:dial_to_words)
    step = Vantick::Core::Curriculum::Step.find(:half_past)
    marked = Vantick::Core::Marking::Marker.mark(task:, time: Vantick::Core::Dial::DialTime.parse("4:30"), text: "half past four")
    Array.new(count) { Vantick::Core::Curriculum::ItemResponse.new(step:, marked:, day:) }
  end

  def said = [Vantick::Core::Teaching::TeacherJudgement.new(step: Vantick::Core::Curriculum::Step.find(:quarters), known: true, day: 1)]

  # Answers of each child, the day of the last ones, today, of whom something was said; why, and of whom.
  [
    ["nobody answered yet", [0, 0, 0], 1, 1, [], :first, [1, 2, 3]],
    ["nobody answered yet, but a teacher said what they had", [0, 0, 0], 1, 1, [1, 2, 3], :none, []],
    ["all answered lately", [9, 9, 9], 8, 10, [], :none, []],
    ["nobody answered for two weeks", [9, 9, 9], 8, 22, [], :holidays, [1, 2, 3]],
    ["nobody answered for a day less", [9, 9, 9], 8, 21, [], :none, []],
    ["one child came", [9, 9, 0], 8, 10, [], :joined, [3]],
    ["one child has five answers", [9, 9, 5], 8, 10, [], :joined, [3]],
    ["one child has six answers", [9, 9, 6], 8, 10, [], :none, []],
    ["of the child who came something was said", [9, 9, 0], 8, 10, [3], :none, []],
    ["all have few answers", [5, 5, 5], 8, 10, [], :none, []],
    ["the class has no children", [], 8, 10, [], :none, []]
  ].each do |told, counts, last, *others|
    today, known, why, children = others

    it "is #{why} where #{told}" do
      by_child = counts.each.with_index(1).to_h { |count, key| [key, answers(count, last)] }
      found = described_class.of(by_child, known.to_h { |key| [key, said] }, today)
      expect([found.why, found.children]).to eq([why, children])
    end
  end
end
