# frozen_string_literal: true

require_relative "helpers"

RSpec.describe Vantick::Core::Term::Planner do
  let(:core) { Vantick::Core::Term }
  let(:monday) { TermHelpers::MONDAY }

  def projection(by_child = (1..26).to_h { |key| [key, []] }, lessons: [], today: monday, aim: :fives, aim_day: monday + 60, **more)
    class_progress = progress(by_child, today:, lessons:)
    core::TermProjection.new(class_progress, days: days(**more.slice(:weeks, :off)), goal: goal(aim, aim_day),
                                             past: past(today, **more.slice(:lost, :unchecked)), **more.slice(:settled))
  end

  it "has lessons on the days of the week that have one, and none on days off" do
    slots = core::Days.lessons(**days(weeks: 2, off: [(monday + 2)..(monday + 4)]))
    expect(slots.map { |slot| [slot.day - monday, slot.minutes] }).to eq([[0, 45], [7, 45], [9, 30], [11, 45]])
    expect { core::Days.lessons(**days, last: monday - 1) }.to raise_error(Vantick::Core::Error, /before the first/)
    expect { core::Days.lessons(**days(weeks: 61)) }.to raise_error(Vantick::Core::Error, /at most/)
    expect(core::Days.lessons(**days(off: [monday..(monday + 400)]))).to eq([])
  end

  # What is known of the aim is counted on its day, with the lessons before it.
  it "finds a plan worth more whose lessons come before the aim's day" do
    worth = [monday + 1, monday + 80].map do |aim_day|
      expected = progress((1..4).to_h { |key| [key, day_of(:oclock, monday - 3)] }, today: monday).expected
      slots = core::Days.lessons(**days(weeks: 11))
      described_class.new(expected:, slots:, goal: goal(:minutes, aim_day), past: past(monday)).worth
    end
    expect(worth.last).to be > worth.first * 1.1
  end

  it "teaches nothing above the aim before all that the aim rests on had its lessons" do
    ladder = core::Aim.new(:quarters).ladder
    steps = projection(aim: :quarters, weeks: 16).plan.filter_map(&:step)
    above = steps.index { |step| !ladder.include?(step) }
    expect(ladder - [step(:quarters)] - steps.first(above)).to eq([])
    expect(above).to be > ladder.length
  end

  it "goes over something in every lesson but the first, and has one in eight to spare at the end" do
    plan = projection.plan
    taught = plan.select(&:taught?)
    expect(taught.drop(1).map(&:recap)).to all(satisfy(&:any?))
    expect(plan.last(4).map(&:kind)).to eq(%i[open] * 4)
    expect(plan.map(&:kind).count(:open)).to eq(4)
    expect(plan.map(&:kind).uniq - core::Planned::KINDS).to eq([])
  end

  it "uses empty lessons for those that were lost" do
    plan = projection(lost: 2).plan
    expect(plan.last(3).map(&:kind)).to match([satisfy { |kind| kind != :open }, :open, :open])
  end

  it "looks back with a check after nine days or more without a lesson, and not after eight" do
    back = projection(off: [(monday + 16)..(monday + 25)]).plan.find { |lesson| lesson.day == monday + 28 }
    expect([back.kind, back.check]).to eq([:look_back, true])
    expect(projection(off: [(monday + 19)..(monday + 25)]).plan.map(&:kind)).to include(:look_back)
    expect(projection(off: [(monday + 21)..(monday + 24)]).plan.map(&:kind)).not_to include(:look_back)
  end

  it "begins with finding out where each child is, where nobody has been asked anything" do
    expect(projection.plan.first).to have_attributes(kind: :baseline, check: false, step: step(:hour_hand))
    expect(projection.plan.drop(1).map(&:kind)).not_to include(:baseline)
    before = [given(:hour_hand, monday - 3)]
    expect(projection(lessons: before).plan.map(&:kind)).not_to include(:baseline)
    asked = (1..26).to_h { |key| [key, key == 1 ? day_of(:oclock, monday - 3) : []] }
    expect(projection(asked).plan.map(&:kind)).not_to include(:baseline)
  end

  # As units are taught: twelve lessons to fives, where the ladder to it has ten steps.
  it "goes up the ladder once before anything comes again, where there are few lessons" do
    plan = projection(weeks: 4, aim_day: monday + 27).plan.filter_map(&:step)
    first_pass = plan.take_while.with_index { |one, at| !plan.first(at).include?(one) }
    expect(first_pass.length).to be >= plan.length - 3
    expect(plan).to include(step(:fives_past), step(:fives_to))
    long = projection(weeks: 12).plan.filter_map(&:step).first(plan.length)
    expect(long.uniq.length).to be < plan.uniq.length
  end

  it "checks in every third lesson or later, and remembers when the last one was" do
    checks = projection.plan.select(&:taught?).map(&:check)
    expect(checks.count(true)).to be_between(checks.length / 5, checks.length / 3)
    before = [given(:hour_hand, monday - 3)]
    first = ->(unchecked) { projection(unchecked:, lessons: before).plan.select(&:taught?).map(&:check).index(true) }
    expect([first[0], first[1], first[2]].each_cons(2)).to all(satisfy { |later, earlier| later > earlier })
    past = [true, false, false].map { |check| core::Planned.new(day: 1, step: step(:fives), kind: :new, recap: [], check:) }
    short = core::Planned.new(day: 2, step: step(:fives), kind: :short, recap: [], check: false)
    expect([past, past + [short], []].map { |lessons| core::Past.of(lessons, from: monday).unchecked }).to eq([2, 2, 3])
  end

  it "has words and digits take turns on a step, first what the class knows less of" do
    tasks = projection.plan.select(&:taught?).group_by(&:step).transform_values { |lessons| lessons.map(&:task) }
    whole = tasks.select { |task, _| task.whole? }
    expect(whole.values.flatten.uniq).to match_array(%i[dial_to_words dial_to_digital])
    expect(whole.values.flat_map { |all| all.each_cons(2).to_a }).to all(satisfy { |one, other| one != other })
    spoken = { 1 => [-9, -5, -2].flat_map { |day| day_of(:quarters, monday + day, count: 12) } }
    first = projection(spoken, lessons: [given(:quarters, monday - 2)]).plan.find { |lesson| lesson.step == step(:quarters) }
    expect(first&.task || :dial_to_digital).to eq(:dial_to_digital)
  end

  it "takes the step that a teacher pinned to a short lesson" do
    days = { first: monday, last: monday + 20, weekdays: { monday: 45, tuesday: 5 }, off: [] }
    settled = { monday + 1 => described_class::Settled.new(step: step(:quarters), how: :pinned) }
    class_progress = progress({ 1 => [] }, today: monday)
    plan = core::TermProjection.new(class_progress, days:, goal: goal(:fives, monday + 20), past: past(monday), settled:).plan
    expect(plan[1]).to have_attributes(step: step(:quarters), kind: :short, settled: :pinned)
  end

  it "keeps what was learned in a few minutes a day, and teaches no step in them" do
    class_progress = progress((1..26).to_h { |key| [key, []] }, today: monday)
    planned = lambda do |weekdays|
      days = { first: monday, last: monday + 41, weekdays:, off: [] }
      core::TermProjection.new(class_progress, days:, goal: goal(:fives, monday + 41), past: past(monday))
    end
    daily = planned.call(monday: 45, tuesday: 5, thursday: 10, friday: 45)
    short, whole = daily.plan.select(&:taught?).partition { |lesson| lesson.minutes < 15 }
    expect(short.map(&:kind).uniq).to eq([:short])
    expect(short.map(&:check).uniq).to eq([false])
    expect(short.drop(1).map(&:recap)).to all(satisfy(&:any?))
    expect(whole.map(&:kind)).not_to include(:short)
    taught = ->(lessons) { daily.forecast(lessons).points.last.likely }
    expect(taught[daily.plan.reject { |lesson| lesson.kind == :short }]).to be <= taught[daily.plan]
    expect(taught[daily.plan.select { |lesson| lesson.kind == :short }]).to be <= 1
  end

  describe Vantick::Core::Term::Steady do
    def planned(by_child, day) = projection(by_child, today: monday + day, lessons: [given(:quarters, monday)])

    def mixed(right) = (1..8).to_h { |key| [key, day_of(:quarters, monday, count: 5, right: key > 8 - right ? 5 : 1)] }

    it "lets a plan stand where answers are about what was expected, and changes it where they are not" do
      old = planned((1..8).to_h { |key| [key, []] }, 1).plan
      steps = ->(plan) { plan.map(&:step) }
      same = planned(mixed(5), 1).steady(old)
      expect(steps[same]).to eq(steps[old])
      expect(same.filter_map(&:settled)).to eq([])
      known = (1..8).to_h { |key| [key, [-9, -5, -2, 0].flat_map { |day| day_of(:fives, monday + day, count: 20) }] }
      expect(steps[planned(known, 1).steady(old)]).not_to eq(steps[old])
    end

    it "lets a plan stand for a class without children" do
      old = projection({}).plan
      expect(projection({}).steady(old).map(&:step)).to eq(old.map(&:step))
    end

    it "is the new plan where the days are others" do
      old = planned((1..8).to_h { |key| [key, []] }, 1).plan
      expect(planned(mixed(5), 1).steady(old.drop(1))).to eq(planned(mixed(5), 1).plan)
    end
  end

  it "leaves what a teacher settled, and plans round it" do
    settled = { monday + 7 => described_class::Settled.new(step: step(:quarters), how: :pinned),
                monday + 9 => described_class::Settled.new(kind: :skipped, how: :skipped) }
    plan = projection(settled:).plan.to_h { |lesson| [lesson.day - monday, lesson] }
    expect(plan[7]).to have_attributes(step: step(:quarters), settled: :pinned)
    expect(plan[9]).to have_attributes(step: nil, kind: :skipped, settled: :skipped)
    expect(plan[18]).to have_attributes(kind: satisfy { |kind| kind != :open })
  end

  it "is the same when it is made again, and nothing where no day is left" do
    first, again = Array.new(2) { projection.plan }
    expect(first).to eq(again)
    expect(projection(today: monday + 200).plan).to eq([])
  end

  it "goes on above the aim where that is reached already, and later where it is not" do
    known = [-10, -6, -2].flat_map { |day| day_of(:oclock, monday + day, count: 12) }
    lessons = core::Aim.new(:oclock).ladder.map { |one| given(one.id, monday - 2) }
    below = lambda do |asked|
      plan = projection({ 1 => asked, 2 => asked }, aim: :oclock, aim_day: monday + 24, lessons:, weeks: 4).plan
      plan.filter_map(&:step).first(4).count { |one| core::Aim.new(:oclock).ladder.include?(one) }
    end
    wrong = [-10, -6, -2].flat_map { |day| day_of(:oclock, monday + day, count: 12, right: 2) }
    expect([below.call(known), below.call(wrong)]).to match([0, be >= 3])
  end

  it "expects a lesson to clear up a part of the mistakes in its way, one after the other" do
    passed = [["1:45", "quarter to one"], ["4:45", "quarter to four"], ["7:45", "quarter to seven"], ["10:45", "quarter to ten"]]
    mistaken = [-9, -5, -2].flat_map { |day| passed.map { |shown, text| misread(:quarter_to, shown, text, monday + day) } }
    lessons = core::Aim.new(:quarters).ladder.map { |one| given(one.id, monday - 2) }
    expected = progress({ 1 => mistaken }, today: monday, lessons:).expected.fetch(1)
    known = (0..3).map do |count|
      count.times.reduce(expected) { |later, at| later.onward(monday + at, step: step(:quarter_to)) }.of_step(step(:quarter_to))
    end
    expect(known.each_cons(2)).to all(satisfy { |one, other| other > one + 0.05 })
    expect(expected.of_step(step(:quarter_to))).to be < 0.1
  end

  it "needs no children" do
    expect(projection({}).plan.length).to eq(36)
  end

  it "names steps and standards as aims" do
    expect(core::Aim.new("England year 2").ladder).to include(step(:quarter_to))
    expect(core::Aim.new(:fives).shares.values.sum).to be_within(1e-9).of(1)
    expect(core::Aim.new(:fives).shares).to include(fives_past: 4 / 12.0, quarter_to: 1 / 12.0)
    expect { core::Aim.new("nothing") }.to raise_error(Vantick::Core::UnknownName)
  end

  it "says what changed first between two plans, and why" do
    class_progress = progress({ 1 => day_of(:half_past, 1, right: 0), 2 => day_of(:half_past, 1) }, today: 2)
    lesson = ->(day, id) { core::Planned.new(day:, minutes: 45, kind: :new, step: id && step(id), recap: [], check: false) }
    old = [lesson[1, :oclock], lesson[2, :half_past], lesson[3, :quarter_past], lesson[4, :oclock]]
    changes = { %i[half_past half_past oclock] => [:more, :half_past, 1, 1],
                %i[half_past quarter_to oclock] => [:added, :quarter_to, 1, 2],
                %i[quarter_past quarter_to oclock] => [:dropped, :half_past, 1, 1],
                %i[quarter_past half_past oclock] => [:later, :quarter_past, 0, 2],
                %i[oclock quarter_past oclock] => [:more, :oclock, 1, 1] }
    changes.each do |steps, found|
      change = core::Change.between(old, steps.each_with_index.map { |id, at| lesson[at + 2, id] }, class_progress)
      expect([change.code, change.step.id, change.lessons, change.children]).to eq(found)
    end
    expect(core::Change.between(old, old.drop(1), class_progress)).to be_nil
    dropped = core::Change.between(old, [lesson[2, nil], *old.drop(2)], class_progress)
    expect([dropped.code, dropped.step.id, dropped.children]).to eq([:dropped, :half_past, 1])
  end
end
