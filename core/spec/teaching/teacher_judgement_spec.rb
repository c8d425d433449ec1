# frozen_string_literal: true

# What a teacher says of a class: they know this, not yet.
RSpec.describe Vantick::Core::Teaching::TeacherJudgement do
  ladder = Vantick::Core::Curriculum::Step.with_times
  names = %i[ana bo cem]

  def class_of(asked: {}, said: {}, today: 10)
    names = %i[ana bo cem]
    answers = names.to_h { |name| [name, asked.fetch(name, [])] }
    record = Vantick::Core::Teaching::ClassRecord.new(judgements: said)
    Vantick::Core::Teaching::ClassProgress.new(answers, today:, record:)
  end

  def say(step, known, day: 10) = [described_class.new(step:, known:, day:)]

  def right(step, day: 9)
    task = step.tasks.find { |one| one.id == :dial_to_words }
    times = Vantick::Core::Choosing::Chooser.choose(step:, task:, count: 5, seed: 1).times
    times.map do |time|
      marked = Vantick::Core::Marking::Marker.mark(task:, time:, text: task.write(task.right_answer(time)))
      Vantick::Core::Curriculum::ItemResponse.new(step:, marked:, day:)
    end
  end

  ladder.select(&:whole?).each do |step|
    it "passes over #{step.name.downcase}, and what it covers, where all are said to know it" do
      progress = class_of(said: names.to_h { |name| [name, say(step, true)] })
      covered = ladder.select { |one| step.covers?(one) }
      expect([step, *covered]).not_to include(progress.next_step.step)
      names.each { |name| expect(progress.known?(name, step)).to be(true) }
      expect([step, *covered] & names.map { |name| progress.next_for(name) }).to eq([])
    end
  end

  it "comes back to a step that all have read rightly and are said not to know yet" do
    step = ladder.find { |one| one.id == :half_past }
    asked = names.to_h { |name| [name, right(step)] }
    expect(class_of(asked:).next_step.step).not_to eq(step)
    doubted = class_of(asked:, said: names.to_h { |name| [name, say(step, false)] })
    expect(names.map { |name| doubted.known?(name, step) }).to all(be(false))
    expect(ladder.index(doubted.next_step.step)).to be <= ladder.index(step)
  end

  it "is worth four answers: later answers overrule it, and it counts for whom it is said alone" do
    step = ladder.find { |one| one.id == :half_past }
    known = lambda { |asked, said|
      class_of(asked: { ana: asked }, said: { ana: said }, today: 12).expected.transform_values { |one| one.of_step(step) }
    }
    said = known[[], say(step, true)]
    expect(said[:ana]).to be > 0.9
    expect(said[:bo]).to be < 0.5
    expect(known[right(step, day: 12) * 2, say(step, false)][:ana]).to be > 0.7
  end
end
