# frozen_string_literal: true

RSpec.describe Vantick::Core::Lesson do
  def lesson(step_id, minutes, **more)
    described_class.new(step: step(step_id), task: task(:dial_to_words), minutes:, **more)
  end

  def times(lesson) = lesson.stages.flat_map { |stage| stage.items.filter_map(&:time) }

  Vantick::Core::Step.with_times.product([20, 40, 75]).each do |one, minutes|
    it "fills #{minutes} minutes of #{one.id}: no time twice, the sum of the stages is the length" do
      plan = described_class.new(step: one, task: task(:dial_to_words), minutes:, earlier: [step(:half_past)], seed: minutes)
      expect(plan.stages.map(&:id)).to eq(%i[warm_up recap show together alone exit])
      expect(plan.stages.sum(&:seconds)).to eq(minutes * 60)
      expect(times(plan).uniq).to eq(times(plan))
      plan.stages.each { |stage| expect(stage.spare_seconds).to be >= 0 }
      expect(plan.stages.map { |stage| stage.items.sum(&:seconds) + stage.spare_seconds }).to eq(plan.stages.map(&:seconds))
    end
  end

  it "takes the times that go before from earlier steps" do
    warm_up = lesson(:fives, 30, earlier: [step(:quarters)]).stages.first
    expect(step(:quarters).pool).to include(*warm_up.items.filter_map(&:time))
  end

  # Shares and seconds: rules of pacing, common practice and judgement. 40 minutes: show has 20 per cent,
  # 480 seconds: 105 + 75, then six times 45.
  it "works out how many of each fit" do
    show = lesson(:fives, 40).stages[2]
    expect(show.items.map(&:kind).tally).to eq(worked_first: 1, worked_next: 1, talked_through: 6)
    expect(show.spare_seconds).to eq(30)
    expect(lesson(:fives, 40).stages[4].items.length).to eq(18)
  end

  it "says what does not fit a small step" do
    expect(lesson(:half_past, 60).missing).not_to be_empty
    expect(lesson(:minutes, 60).missing).to eq({})
  end

  it "leaves out what a class does at its own pace" do
    slow = Vantick::Core::Pacing.new(written_alone: [80] * 20)
    expect(lesson(:fives, 40, pacing: slow).stages[4].items.length).to eq(9)
  end

  it "gives the same lesson for the same seed, and avoids yesterday's times" do
    first, again = Array.new(2) { times(lesson(:minutes, 40, seed: 3)) }
    expect(first).to eq(again)
    expect(times(lesson(:minutes, 40, seed: 3, avoid: first)) & first).to eq([])
  end

  it "refuses a lesson of no length, and one of a day" do
    [0, 19, 76, "40", nil].each do |minutes|
      expect do
        lesson(:fives, minutes)
      end.to raise_error(Vantick::Core::InvalidCount, /20 to 75 minutes/)
    end
  end

  describe Vantick::Core::Pacing do
    it "mixes a class's median with the default until twenty are seen" do
      expect(described_class.new.seconds(:written_alone)).to eq(40)
      expect(described_class.new(written_alone: [60] * 5).seconds(:written_alone)).to eq(45)
      expect(described_class.new(written_alone: [60] * 40).seconds(:written_alone)).to eq(60)
      expect(described_class.new(quick_fire: [10, 12, 100, 14] * 5).seconds(:quick_fire)).to eq(13)
    end
  end
end
