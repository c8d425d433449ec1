# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::Lesson do
  def lesson(step_id, minutes, **more)
    lesson_of(step: step(step_id), task: task(:dial_to_words), minutes:, **more)
  end

  # Items from each time to the same one again.
  def apart(plan)
    places = plan.times.each_with_index.group_by(&:first).values
    places.flat_map { |same| same.map(&:last).each_cons(2).map { |before, after| after - before } }
  end

  it "lets no stage of a single quarter stand empty: its times come again, and the same plan is made of what it keeps" do
    %i[oclock half_past quarter_past quarter_to].product([20, 25, 30, 45, 60]).each do |id, minutes|
      plan = lesson(id, minutes)
      expect(plan.stages.first(5).map(&:missing)).to all(be <= 1), "#{id} #{minutes}"
      kept = plan.stages.to_h { |stage| [stage.id, stage.items.filter_map(&:time)] }
      expect(lesson(id, minutes, kept:).times).to eq(plan.times)
      expect(lesson(id, minutes, kept:, pinned: kept).times).to eq(plan.times)
    end
  end

  it "takes the times of the class's own day first where halves of the day are new" do
    day = Vantick::Core::Wording::DayPlace.times([{ time: "10:15", what: "break" }, { time: "12:45", what: "lunch" },
                                                  { time: "16:00", what: "ferry" }])
    plan = lesson_of(step: step(:day_halves), task: task(:day_half), minutes: 40, day_times: day)
    expect(plan.stages[2].items.filter_map(&:time).first(day.length)).to match_array(day)
  end

  Vantick::Core::Curriculum::Step.with_times.product([20, 33, 40, 75]).each do |one, minutes|
    it "fills #{minutes} minutes of #{one.id}: no time twice too early, the sum of the stages is the length" do
      plan = lesson_of(step: one, task: one.tasks.last, minutes:, seed: minutes)
      expect(plan.stages.map(&:id)).to eq(%i[warm_up recap show together alone exit])
      expect(plan.stages.sum(&:minutes)).to eq(minutes)
      expect(apart(plan)).to be_empty.or(all(be >= (one.pool.length > 12 ? 10 : 5))), plan.times.join(" ")
      expect(plan.stages.last.items.filter_map(&:time) & plan.stages.first(5).flat_map { |stage| stage.items.filter_map(&:time) }).to eq([])
      plan.stages.each { |stage| expect(stage.spare_seconds).to be >= 0 }
      expect(plan.stages.map { |stage| stage.items.sum(&:seconds) + stage.spare_seconds }).to eq(plan.stages.map { |stage|
        stage.minutes * 60
      })
    end
  end

  # Tasks that see one hand are asked at fewer times than a step has; a recap may be of any step.
  Vantick::Core::Curriculum::Step.with_times.each do |step|
    it "goes over any step before a lesson on #{step.id}, with any task of it, and asks nothing that cannot be seen" do
      hardest = Vantick::Core::Curriculum::Step.hardest
      unlike = Vantick::Core::Teaching::LessonPlan.tasks(step).uniq { |task| [step.pool_for(task), hardest.tasks.include?(task)] }
      unlike.product(Vantick::Core::Curriculum::Step.with_times - [step]).each do |task, earlier|
        plan = lesson_of(step: step, task:, minutes: 20, earlier: [earlier])
        asked = plan.stages.flat_map(&:items).select(&:time)
        unseen = asked.reject { |item| item.task.seen?(item.time) && item.task.times.include?(item.time) }
        expect(unseen).to eq([]), "#{task.id} after #{earlier.id}"
      end
    end
  end

  it "has stages of whole minutes that sum to every length there is" do
    described_class::LENGTHS.each do |minutes|
      lengths = Vantick::Core::Teaching::StageMinutes.of(minutes)
      expect(lengths.values.sum).to eq(minutes)
      lengths.each do |id, length|
        expect(length).to be_within(1).of(minutes * Vantick::Core::Teaching::StageMinutes.shares(minutes)[id] / 100.0)
      end
    end
  end

  it "moves minutes from one stage to another, and refuses what does not fill the lesson" do
    usual = Vantick::Core::Teaching::StageMinutes.of(40)
    moved = lesson(:fives, 40, stage_minutes: usual.merge(show: 10, alone: 9))
    expect(moved.stages.map(&:minutes)).to eq([4, 4, 10, 7, 9, 6])
    expect(moved.stages[4].items.count(&:time)).to be < lesson(:fives, 40).stages[4].items.count(&:time)
    { usual.merge(show: 9) => /add up to 41 minutes. The lesson has 40/,
      usual.merge(exit: 0, show: 14) => /Exit check needs at least 1 minute/,
      usual.merge(lunch: 1) => /"lunch" is not a stage/ }.each do |stage_minutes, message|
      expect { lesson(:fives, 40, stage_minutes:) }.to raise_error(Vantick::Core::Error, message)
    end
  end

  it "keeps the times it is told to, first and in order, and says which no longer fit" do
    kept = { exit: [time("9:20"), time("4:45")], show: step(:fives).pool.first(6) }
    plan = lesson(:fives, 40, kept:)
    expect(plan.stages.last.items.filter_map(&:time).first(2)).to eq(kept[:exit])
    expect(plan.stages[2].items.filter_map(&:time)).to eq(kept[:show].first(5))
    expect(plan.stages.flat_map(&:left_out)).to eq(kept[:show].last(1))
    expect(plan.times.uniq).to eq(plan.times)
    twice = { show: [time("9:20")], together: [time("9:20")] }
    expect(lesson(:fives, 40, kept: twice).stages[3].items.filter_map(&:time)).not_to include(time("9:20"))
    expect { lesson(:fives, 40, kept: twice, pinned: { together: [time("9:20")] }) }.to raise_error(Vantick::Core::TimeTwice)
    expect { lesson(:fives, 40, kept: { exit: [time("9:20")], show: [time("9:20")] }) }
      .to raise_error(Vantick::Core::TimeTwice, "9:20 is already in this lesson. Choose another time.")
  end

  it "chooses for the places left open among those kept" do
    found = lesson(:fives, 40, kept: { exit: [nil, time("9:20"), nil, time("4:45")] }).stages.last.items.filter_map(&:time)
    expect(found.values_at(1, 3)).to eq([time("9:20"), time("4:45")])
    expect(found.uniq.length).to eq(5)
  end

  # A recap of the hour hand, asked with its own task beside whole dials.
  it "goes over what is learned of one hand with tasks of its own" do
    plan = lesson(:half_past, 40, earlier: [step(:hour_hand), step(:oclock)])
    recap = plan.stages.find { |stage| stage.id == :recap }.items.filter_map(&:task)
    expect(recap.map(&:id)).to include(:hour_only, :dial_to_words)
  end

  it "asks halves of the day of its own times, and dials of the times that go before" do
    plan = lesson_of(step: step(:day_halves), task: task(:day_half), minutes: 40)
    asked = plan.stages.to_h { |stage| [stage.id, stage.items.filter_map(&:task).map(&:id).uniq] }
    expect(asked).to include(exit: [:day_half], show: [:day_half], recap: [:dial_to_words])
  end

  it "takes the times that go before from earlier steps" do
    warm_up = lesson(:fives, 30, earlier: [step(:quarters)]).stages.first
    expect(step(:quarters).pool).to include(*warm_up.items.filter_map(&:time))
  end

  # Shares and seconds: rules of pacing, common practice and judgement. 40 minutes: show has 20 per cent, 480 seconds: 120 + 90, then
  # three times 90. Alone has 11 minutes: 45 to hand out, 120 to go over, then eight sentences of 60.
  it "works out how many of each fit" do
    stages = lesson(:fives, 40).stages
    expect(stages[2].items.map(&:kind).tally).to eq(worked_first: 1, worked_next: 1, talked_through: 3)
    expect(stages[2].spare_seconds).to eq(0)
    expect(stages[4].items.map(&:kind).tally).to eq(handed_out: 1, written_in_words: 8, gone_over: 1)
  end

  # About thirty clocks in 45 minutes: common practice, no source. A child of seven writes about 32 letters a minute (from memory).
  it "has no more clocks than children can think about, and no more letters than they can write" do
    Vantick::Core::Curriculum::Step.with_times.select(&:whole?).product([5, 10, 15, 20, 30, 45, 60, 75]).each do |one, minutes|
      plan = lesson(one.id, minutes, seed: minutes)
      most = { 5 => 6, 10 => 9, 15 => 11, 20 => 14, 30 => 21, 45 => 32, 60 => 46, 75 => 54 }.fetch(minutes)
      expect(plan.times.length).to be_between(most * 0.6, most), "#{one.id} #{minutes}: #{plan.times.length}"
      alone = plan.stages.find { |stage| stage.id == :alone } or next
      letters = alone.items.select(&:time).sum { |item| item.task.write(item.task.right_answer(item.time)).length }
      expect(letters).to be <= 32 * alone.minutes
    end
  end

  it "tries what is new before what was had earlier" do
    kinds = lesson(:fives_past, 45, seed: 5).stages.find { |stage| stage.id == :together }.items.filter_map(&:time)
                                            .map { |time| Vantick::Core::Curriculum::Difficulty.minute_class(time) == :fives_past }
    expect(kinds).to eq(kinds.sort_by { |fresh| fresh ? 0 : 1 })
    expect(kinds.first).to be(true)
  end

  it "has two kinds of doing at least, and one in which children move" do
    Vantick::Core::Curriculum::Step.with_times.product((0..11).to_a).each do |one, seed|
      stages = lesson_of(step: one, task: one.tasks.last, minutes: 40, seed:).stages
      ways = stages.map(&:activity).uniq
      expect([ways.length, ways.count { |id| Vantick::Core::Teaching::Activities.find(id)[:moves] }]).to match([be >= 4, be >= 1])
      expect(stages.map { |stage| stage.choices.include?(stage.activity) }).to all(be(true))
    end
  end

  it "works as a teacher chose, and moves elsewhere where that is left to it" do
    seated = lesson(:fives, 40, activities: { warm_up: :chorus, recap: :partner, together: :find_mistake })
    expect(seated.stages.map(&:activity)).to eq(%i[chorus partner talked_through find_mistake written_alone written_alone])
    expect(lesson(:fives, 40, activities: { warm_up: :chorus, recap: :partner }).stages[3].activity).to eq(:set_clocks)
    expect { lesson(:fives, 40, activities: { exit: :walk }) }.to raise_error(Vantick::Core::UnknownName, /walk/)
    expect(lesson_of(step: step(:day_halves), task: task(:day_half), minutes: 40).stages.flat_map(&:choices))
      .not_to include(:set_clocks, :act_hands, :matched_pair)
  end

  it "is six clocks in five minutes: what went before, and one step on" do
    plan = lesson(:fives_past, 5, earlier: [step(:quarters)])
    expect(plan.stages.map { |stage| [stage.id, stage.items.count(&:time)] }).to eq([[:recap, 4], [:together, 2]])
    expect(step(:quarters).pool).to include(*plan.stages.first.items.map(&:time))
    expect(plan.stages.last.items.map { |item| Vantick::Core::Curriculum::Difficulty.minute_class(item.time) }.uniq).to eq([:fives_past])
  end

  it "has an exit, and none where it is short" do
    expect([lesson(:fives, 40).exit.count(&:time), lesson(:fives, 5).exit]).to eq([5, []])
  end

  it "says what does not fit a small step" do
    expect(lesson(:half_past, 60).stages.sum(&:missing)).to be_positive
    expect(lesson(:minutes, 60).stages.map(&:missing)).to all(eq(0))
  end

  it "shares out the few times of a small step: no stage is empty, and each of the new ones has some of its own" do
    %i[half_past quarter_past quarter_to quarters].each do |id|
      stages = lesson(id, 40).stages.to_h { |stage| [stage.id, stage.items.filter_map(&:time)] }
      expect(stages.values.map(&:length).min).to be >= 2
      own = stages.slice(:show, :together, :alone, :exit).transform_values { |times| (times & step(id).pool).length }
      expect(own.values.min).to be_positive
      expect(own[:exit]).to be >= 4
    end
  end

  it "shares out no more than there is, and to no stage more than it wants" do
    random = Random.new(3)
    200.times do
      wanted = Vantick::Core::Teaching::StageMinutes::STAGES.transform_values { random.rand(0..20) }
      own = random.rand(1..60)
      earlier = random.rand(0..60)
      shares = Vantick::Core::Teaching::LessonShares.of(wanted, own:, earlier:)
      expect(shares.map { |id, share| wanted[id] - share.own - share.earlier }).to all(be >= 0)
      scarce = wanted.values.sum > own + earlier
      expect(shares.values.sum { |share| share.own + share.earlier }).to be <= own + earlier if scarce
      expect(shares.values.sum(&:own)).to be <= own
    end
  end

  it "leaves out what a class does at its own pace" do
    slow = Vantick::Core::Teaching::Pacing.new(written_in_words: [120] * 20)
    expect(lesson(:fives, 40, pacing: slow).stages[4].items.count(&:time)).to eq(4)
  end

  it "gives the same lesson for the same seed, and avoids yesterday's times" do
    first, again = Array.new(2) { lesson(:minutes, 40, seed: 3).times }
    expect(first).to eq(again)
    expect(lesson(:minutes, 40, seed: 3, avoid: first).times & first).to eq([])
  end

  it "refuses a lesson of no length, and one of a day" do
    [0, 4, 76, "40", nil].each do |minutes|
      expect do
        lesson(:fives, minutes)
      end.to raise_error(Vantick::Core::InvalidCount, /5 to 75 minutes/)
    end
  end

  describe Vantick::Core::Teaching::Pacing do
    it "keeps the pace that a lesson was planned with, and tells what was seen of a class" do
      kept = described_class.new({}, { written_alone: 90 })
      expect([kept.seconds(:written_alone), kept.seconds(:quick_fire)]).to eq([90, 30])
      # Ten seen of twenty: half of the class's own median, half of what is usual.
      expect(described_class.new(written_alone: [55] * 10, nonsense: [1]).own).to eq(written_alone: 50.0)
      # A press too many and a pause tell of no pace.
      odd = described_class.new(written_alone: ([55] * 10) + [1, 2, 900], quick_fire: [1])
      expect(odd.own).to eq(written_alone: 50.0)
    end

    it "mixes a class's median with the default until twenty are seen" do
      expect(described_class.new.seconds(:written_alone)).to eq(45)
      expect(described_class.new(written_alone: [65] * 5).seconds(:written_alone)).to eq(50)
      expect(described_class.new(written_alone: [60] * 40).seconds(:written_alone)).to eq(60)
      expect(described_class.new(quick_fire: [10, 12, 80, 14] * 5).seconds(:quick_fire)).to eq(13)
    end
  end

  it "says of each stage what it is for, in a few words, another for each" do
    stages = lesson_of(step: step(:quarters), task: task(:dial_to_words), minutes: 45).stages
    expect(stages.map(&:aim).uniq.length).to eq(stages.length)
    expect(stages.map { |stage| stage.aim.split.length }).to all(be_between(2, 6))
    expect(stages.map(&:aim)).to all(satisfy { |aim| aim.length <= 24 })
  end
end
