# frozen_string_literal: true

# Children whose place is known are asked, each by their own way of answering.
RSpec.describe Vantick::Core::Knowing::Baseline do
  rungs = described_class.rungs

  def other(time) = Vantick::Core::Dial::DialTime.from_index(time.index + 137)

  def marked(question, right)
    time = right ? question.time : other(question.time)
    text = question.task.write(question.task.right_answer(time))
    Vantick::Core::Marking::Marker.mark(task: question.task, time: question.time, text:)
  end

  # @yieldparam question [Question]
  # @yieldreturn [Boolean] whether the child is right
  def asked(seed = 1, baseline = described_class.new)
    random = Random.new(seed)
    while (question = baseline.next_question(random))
      baseline.answered(question, marked(question, yield(question)))
    end
    baseline
  end

  def upto(at, seed) = asked(seed) { |question| described_class.rungs.index(question.step) <= at }

  it "looks for the place on the steps that bring times of their own" do
    expect(rungs.map(&:id)).to eq(%i[oclock half_past quarter_past quarter_to fives_past fives_to minutes_past minutes_to])
  end

  (-1...rungs.length).each do |at|
    it "finds a child who knows #{at.negative? ? 'nothing' : "all up to #{rungs[at].id}"} within one step, in twelve questions at most" do
      (1..4).each do |seed|
        found = upto(at, seed)
        place = found.place ? rungs.index(found.place) : -1
        expect(place).to be_between(at - 1, at + 1)
        expect(found.asked.length).to be_between(8, 12)
        expect(found.asked.map(&:time).uniq.length).to eq(found.asked.length)
      end
    end
  end

  it "asks in words and in digits" do
    expect(upto(4, 1).asked.map { |question| question.task.id }.tally.keys).to match_array(%i[dial_to_words dial_to_digital])
  end

  it "asks, after two wrong answers, what is likely right" do
    found = asked(3) { |question| described_class.rungs.index(question.step) <= 3 }
    right = found.asked.map { |question| rungs.index(question.step) <= 3 }
    after_two = right.each_cons(3).select { |first, second, _| !first && !second }
    expect(after_two.map(&:last)).to all(be(true))
  end

  it "asks a child of whom much is known only what is left open" do
    known = upto(5, 1).belief
    later = asked(2, described_class.new(known, day: 1)) { |question| described_class.rungs.index(question.step) <= 5 }
    expect(later.asked.length).to eq(8)
    expect(later.place.id).to eq(:fives_to)
  end

  it "is over as soon as the place is found, and asks nothing any more" do
    found = upto(7, 1)
    expect([found.over?, found.settled?, found.next_question(Random.new(1))]).to eq([true, true, nil])
    expect(described_class.new.settled?).to be(false)
  end

  it "has, while no answer comes back, questions of other steps ready, none that was asked" do
    ahead = described_class.new.ahead(4, but: [], random: Random.new(1))
    expect(ahead.map(&:step).uniq.length).to eq(4)
    again = described_class.new.ahead(4, but: ahead.map(&:time), random: Random.new(1))
    expect(ahead.map(&:time) & again.map(&:time)).to eq([])
  end

  describe "on a page" do
    let(:page) { described_class.page(count: 12, seed: 4) }

    it "has twelve clocks over all steps, the easiest first, the same for the same seed" do
      expect(page.map(&:step).uniq).to eq(rungs)
      expect(page.map(&:time).uniq.length).to eq(12)
      expect(described_class.page(count: 12, seed: 4)).to eq(page)
    end

    it "has both hands to be seen, and each time on the step that it is of" do
      expect(page.map(&:time)).to all(satisfy { |time| !time.hidden_hand? })
      expect(page).to all(satisfy { |one| Vantick::Core::Curriculum::KnowledgeComponents.of(one.task, one.time) == one.step.id })
    end

    it "asks one way alone where it is told so" do
      digits = Vantick::Core::Tasks::Task.find(:dial_to_digital)
      expect(described_class.page(count: 12, seed: 4, tasks: [digits]).map(&:task).uniq).to eq([digits])
    end

    it "has another like it for a neighbour, with other times" do
      like = described_class.like(page, Random.new(1))
      expect(like.map(&:step)).to eq(page.map(&:step))
      expect(like.map(&:time) & page.map(&:time)).to eq([])
    end
  end

  # A class of thirty after the page in either way of writing: how far all of them know the ladder, and the lesson that follows.
  { 7 => :day_halves, 5 => :minutes_past, 3 => :fives_facts, 0 => :hour_hand, -1 => :hour_hand }.each do |far, lesson|
    it "leads a class that knows #{far + 1} of the steps to #{lesson}, as a whole and each child" do
      described_class::TASKS.each_value do |id|
        page = described_class.page(count: 12, seed: 3, tasks: [task(id)])
        asked = page.map do |question|
          answer = marked(question, described_class.rungs.index(question.step) <= far)
          Vantick::Core::Curriculum::ItemResponse.new(step: question.step, marked: answer, day: 5, baseline: true)
        end
        progress = Vantick::Core::Teaching::ClassProgress.new((1..30).to_h { |key| [key, asked] }, today: 5)
        expect([progress.next_step.step.id, progress.next_for(1).id]).to eq([lesson, lesson])
      end
    end
  end
end
