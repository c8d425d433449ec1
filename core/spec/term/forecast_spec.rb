# frozen_string_literal: true

require_relative "helpers"

RSpec.describe Vantick::Core::Term::Forecast do
  let(:core) { Vantick::Core::Term }
  let(:aim) { core::Aim.new(:oclock) }

  def start(known, strength: 1e9)
    alike = { known:, strengths: strength, hindered: false }
    Vantick::Core::Teaching::Start.new(**alike.transform_values { |value| aim.kinds.map { value } })
  end

  def forecast(starts, lessons: [], learning: Vantick::Core::Teaching::Learning.guessed, aim_day: 50, **more)
    how = core::Assumptions.new(learning:, away: 0, **more)
    described_class.new(starts, lessons:, goal: core::Goal.new(aim:, day: aim_day), today: 1, how:)
  end

  def lesson(day) = core::Planned.new(day:, minutes: 45, kind: :new, step: step(:oclock), recap: [], check: false)

  # Each week that has lessons is drawn for once: a full timetable makes no illness.
  it "lets a week fall out as often with five lessons as with one" do
    counting = Class.new(Random) do
      attr_accessor :drawn

      def rand(*) = (self.drawn = drawn.to_i + 1) && super
    end
    draws = [[7], [7, 8, 9, 10, 11], [7, 14]].map do |days|
      random = counting.new(1)
      run = core::SimulationRun.new(random, Vantick::Core::Teaching::Learning.guessed, 0.0)
      before = random.drawn
      run.counts([], days.map { |day| Struct.new(:day, :taught).new(day, []) }, [], 1)
      random.drawn - before
    end
    expect(draws).to eq([1, 1, 2])
  end

  # One kind of times and nothing forgotten: how many of 30 children know it is binomial (a closed form). Compared are mean and deviation of
  # 2,000 runs, within four standard errors.
  it "is binomial where nothing is learned or forgotten" do
    counts = forecast(Array.new(30) { start(0.4) }, runs: 2_000).counts.map(&:last)
    mean = counts.sum / 2_000.0
    spread = Math.sqrt(counts.sum { |count| (count - mean)**2 } / 2_000.0)
    expect(mean).to be_within(4 * Math.sqrt(30 * 0.4 * 0.6 / 2_000)).of(12)
    expect(spread).to be_within(0.2).of(Math.sqrt(30 * 0.4 * 0.6))
  end

  # All but the floor of knowing.yml: seven in ten come back as soon as they are asked.
  it "loses half in a half-life of what does not come back at once, on the average" do
    stub = described_class::ROW.merge(spread: 0, returns: 0)
    stub_const("#{core::SimulationRun}::ROW", stub)
    counts = forecast(Array.new(30) { start(1.0, strength: 49) }, runs: 1_000).counts.map(&:last)
    expect(counts.sum / 1_000.0).to be_within(0.4).of(30 * (0.7 + (0.3 / 2)))
  end

  it "gains with every lesson, and tells points over the weeks up to the aim's day" do
    likely = [0, 1, 3, 6].map do |count|
      forecast(Array.new(26) { start(0.0) }, lessons: (1..count).map { |at| lesson(at * 7) }).result.aim.likely
    end
    expect(likely).to eq(likely.sort)
    expect([likely.uniq.length, likely.first]).to eq([4, 0])
    told = forecast(Array.new(26) { start(0.2) }, lessons: (2..49).map { |day| lesson(day) }).result
    days = told.points.map(&:day)
    expect([days.first, days.last, days]).to eq([1, 50, days.sort])
    expect(days.length).to be <= 16
    expect(told.points).to all(satisfy { |point| point.likely.between?(point.low, point.high) })
  end

  # Judgement, from the misses of made-up classes (`bin/bench forecast_honest`).
  it "has a band that is a fifth of the class wider to each side after six weeks, and no wider later" do
    expect(described_class::ROW.slice(:band, :missed, :missed_days, :returns)).to eq(band: 0.8, missed: 0.2, missed_days: 42, returns: 1.0)
    certain = Array.new(10) { start(1.0) } + Array.new(10) { start(0.0) }
    bands = [1, 22, 43, 90].map { |aim_day| forecast(certain, aim_day:).result.aim.then { |aim| [aim.low, aim.high] } }
    expect(bands).to eq([[10, 10], [8, 12], [6, 14], [6, 14]])
  end

  it "says what is, where the aim's day is today or past, and nothing for a class without children" do
    expect(forecast(Array.new(5) { start(1.0) }, aim_day: 1).result.aim).to have_attributes(day: 1, low: 5, high: 5)
    expect(forecast([], lessons: [lesson(3)]).result).to have_attributes(children: 0, aim: have_attributes(likely: 0))
  end

  it "counts ten minutes at desks" do
    plain, desks = [[], (2..49).step(3).to_a].map { |days| forecast(Array.new(26) { start(0.1) }, desks: days).result.aim.likely }
    expect(desks).to be > plain + 5
  end

  it "draws from a beta distribution with its mean and variance" do
    draws = core::Draws.new(Random.new(3))
    found = Array.new(4_000) { draws.beta(4.5, 5.5) }
    expect(found.sum / 4_000).to be_within(0.01).of(0.45)
    expect(found.sum { |one| (one - 0.45)**2 } / 4_000).to be_within(0.002).of(4.5 * 5.5 / (100 * 11))
    expect { draws.gamma(0.5) }.to raise_error(ArgumentError)
  end

  describe "how well lessons work" do
    def learned(by_child, lessons, known: 0.0, ready: 1.0)
      before = by_child.transform_values { lessons.to_h { |lesson| [[lesson.step, lesson.day], [known, ready]] } }
      Vantick::Core::Teaching::Learning.of(by_child, lessons, before).chance
    end

    def class_of(right, count: 20) = (1..count).to_h { |key| [key, day_of(:half_past, 5, right: key <= right ? 5 : 0)] }

    let(:lesson) { [given(:half_past, 5)] }
    let(:guess) { Vantick::Core::Knowing::Expected::LEARN[:lesson] }

    it "is what is assumed of all before anything was seen" do
      expect([learned({}, []), learned(class_of(20), [])]).to eq([guess, guess])
      expect(Vantick::Core::Teaching::Learning.of({}, [], {}).chance).to eq(guess)
    end

    # Thirty children's worth of .68, as knowing.yml has it, and twenty of whom nearly all or nearly none came out of the lesson with it.
    it "goes up where the lesson made the difference, and down where it did not" do
      expect(learned(class_of(20), lesson)).to be_within(0.01).of((20.4 + 20) / 50)
      expect(learned(class_of(0), lesson)).to be_within(0.01).of(20.4 / 50)
      expect(learned(class_of(10), lesson)).to be_within(0.01).of((20.4 + 10) / 50)
    end

    it "says little of children who knew it before, or could not learn it yet" do
      expect(learned(class_of(20), lesson, known: 0.95)).to be_within(0.02).of(guess)
      expect(learned(class_of(0), lesson, ready: 0.1)).to be_within(0.05).of(guess)
    end

    it "looks at the first lesson on one kind of times, and at the first day with answers after it" do
      expect(learned(class_of(20), [given(:quarters, 5)])).to eq(guess)
      both = class_of(0).transform_values { |asked| asked + day_of(:half_past, 7) }
      expect(learned(both, lesson)).to eq(learned(class_of(0), lesson))
      expect(learned(class_of(20), [given(:half_past, 2), given(:half_past, 4)])).to eq(guess)
    end

    it "is asked of a whole class by what its own progress knows" do
      class_progress = progress(class_of(20), today: 6, lessons: lesson)
      expect(class_progress.learning.chance).to be > guess
      expect(progress(class_of(0), today: 6, lessons: lesson).learning.chance).to be < guess
    end
  end

  it "offers what would help, the most first" do
    monday = TermHelpers::MONDAY
    class_progress = progress((1..26).to_h { |key| [key, []] }, today: monday, lessons: [given(:hour_hand, 1)])
    projection = core::TermProjection.new(class_progress, days: days(weeks: 6), goal: goal(:minutes, monday + 41), past: past(monday))
    plain = projection.forecast(projection.plan).aim
    interventions = projection.interventions
    expect(interventions.map(&:id)).to include(:more_lessons, :desks)
    likely = interventions.map { |intervention| intervention.outcome.likely }
    expect(likely).to eq(likely.sort.reverse)
    more = interventions.find { |intervention| intervention.id == :more_lessons }
    expect(more.weekday).to eq(:tuesday)
    expect(more.outcome.likely).to be > plain.likely
  end
end
