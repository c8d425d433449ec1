# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::SchemeOfWork do
  core = Vantick::Core
  ladder = core::Curriculum::Step.with_times

  # A class that is taught what is proposed, and answers five times of each lesson: rightly, or as a block says.
  def taught(lessons, children: 6)
    given = []
    by_child = (1..children).to_h { |key| [key, []] }
    lessons.times do |at|
      expected = by_child.transform_values do |asked|
        Vantick::Core::Teaching::ChildProgress.new(asked, lessons: given, today: at * 2).expected
      end
      found = described_class.new(expected, given).next_step(today: at * 2)
      yield found, at, by_child
      given << described_class::GivenLesson.new(step: found.step || ladder_top, day: at * 2)
    end
  end

  def ladder_top = Vantick::Core::Curriculum::Step.with_times.last

  def answer(by_child, found, at, right: true)
    return unless found.step

    task = found.step.tasks.first
    times = found.step.pool_for(task).first(5)
    by_child.each_value do |asked|
      times.each do |shown|
        text = right ? task.write(task.right_answer(shown)) : "ten past two"
        marked = Vantick::Core::Marking::Marker.mark(task:, time: shown, text:)
        asked << Vantick::Core::Curriculum::ItemResponse.new(step: found.step, marked:, day: at * 2)
      end
    end
  end

  it "begins at the bottom and says why" do
    taught(1) { |found, _, _| expect(found.to_h).to include(step: ladder.first, reason: :begin, lesson: 1) }
  end

  it "never stays for more than three lessons running, whatever is answered, and comes back later" do
    { right: true, wrong: false }.each_value do |right|
      steps = []
      reasons = []
      taught(30) do |found, at, by_child|
        steps << found.step
        reasons << found.reason
        answer(by_child, found, at, right:)
      end
      expect(steps.take_while(&:itself).chunk_while { |one, other| one == other }.map(&:length).max).to be <= 3
      expect(reasons).to include(right ? :done : :back)
    end
  end

  it "goes up faster with a class that knows than with one that does not" do
    reached = [true, false].map do |right|
      steps = []
      taught(12) { |found, at, by_child| (steps << found.step) && answer(by_child, found, at, right:) }
      steps.compact.map { |step| ladder.index(step) }.max
    end
    expect(reached.first).to be > reached.last
  end

  it "counts a day on which half a class answered on a step as a lesson on it, once" do
    task = core::Tasks::Task.find(:dial_to_words)
    marked = core::Marking::Marker.mark(task:, time: core::Dial::DialTime.parse("3:30"), text: "half past three")
    asked = core::Curriculum::ItemResponse.new(step: step(:half_past), marked:, day: 4)
    found = described_class.lessons({ a: [asked], b: [asked], c: [] }, [described_class::GivenLesson.new(step: step(:oclock), day: 2)])
    expect(found.map { |lesson| [lesson.step.id, lesson.day] }).to eq([[:oclock, 2], [:half_past, 4]])
    expect(described_class.lessons({ a: [asked], b: [], c: [] }, [])).to eq([])
  end

  describe Vantick::Core::Teaching::Recap do
    it "goes over three steps at most, of those met, each shaky in a part of the class, no whole with its part" do
      expected = (1..10).to_h { |key| [key, Vantick::Core::Teaching::ChildProgress.new([], today: 0).expected] }
      ladder.each do |one|
        found = described_class.steps(expected, one, before: one.foundations.select { |below| below.pool.any? })
        expect(found.length).to be <= 3
        expect(found).not_to include(one)
        related = found.combination(2).select { |first, second| first.parts.include?(second) || second.parts.include?(first) }
        expect(related).to eq([])
      end
      expect(described_class.steps(expected, step(:fives), before: [])).to eq([])
    end
  end

  it "counts what a class answered on a day as a lesson, but not when it was to find where each child is" do
    by_child = (1..6).to_h { |key| [key, []] }
    answer(by_child, described_class::Next.new(step: ladder[1]), 4)
    expect(described_class.lessons(by_child, []).map { |lesson| [lesson.step, lesson.day] }).to eq([[ladder[1], 8]])
    by_child.each_value { |asked| asked.each { |one| one.baseline = true } }
    expect(described_class.lessons(by_child, [])).to eq([])
  end
end
