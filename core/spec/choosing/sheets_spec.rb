# frozen_string_literal: true

RSpec.describe Vantick::Core::Choosing::SheetChoice do
  let(:core) { Vantick::Core }
  let(:order) { core::Choosing::OwnOrder }

  def kind(id) = Vantick::Core::Choosing::SheetKind.find(id)

  def reader(...) = described_class::Reader.new(...)

  def choice(id, step_id, task_id, count, **more)
    described_class.new(kind: kind(id), step: step(step_id), task: task(task_id), count:, **more)
  end

  def items(...) = choice(...).items(3)

  # Every kind with every task and step that it can ask.
  def self.askable
    core = Vantick::Core
    core::Choosing::SheetKind.all.flat_map do |sheet_kind|
      core::Curriculum::Step.with_times.flat_map { |on| sheet_kind.tasks_for(on).map { |with| [sheet_kind, on, with] } }
    end
  end

  askable.group_by(&:first).each do |one, rows|
    it "#{one.name.downcase}: has exercises on every step that can be asked so, the same for the same seed" do
      rows.each do |_, on, with|
        count = [4, one.usual_count(on, with)].min
        made = Array.new(2) { described_class.new(kind: one, step: on, task: with, count:).items(1) }
        expect(made.uniq.length).to eq(1)
        expect(made.first.length).to eq(one.id == :levels ? 3 * count : count), "#{on.id} #{with.id}"
        expect(on.pool_for(with)).to include(*made.first.map(&:time))
      end
    end
  end

  it "takes up what a child may be losing, a quarter of its own sheet, each with the step it is of" do
    losing = reader(again: [step(:half_past), step(:hour_hand), step(:oclock)])
    own, other = choice(:read, :quarter_to, :dial_to_words, 8).versions([losing, reader], 5)
    again = own.select(&:step)
    expect(again.length).to eq(2)
    expect(again).to all(satisfy { |item| %i[half_past oclock].include?(item.step.id) && item.step.holds?(item.time) })
    expect((own - again).map(&:time) - step(:quarter_to).pool).to eq([])
    expect(own.map(&:time).uniq.length).to eq(8)
    expect(other.filter_map(&:step)).to eq([])
    slips = choice(:slips, :quarters, :dial_to_words, 4).versions([losing], 5).first
    expect(slips.filter_map(&:step)).to eq([])
  end

  # What a class of thirty gets: neighbours are those beside each other.
  describe "for each of a class of thirty" do
    readers = Array.new(30) { described_class::Reader.new }

    # Kind, step, task; alike at the neighbour's place at most, times met at least, hardness apart at most.
    [
      [:read, :minutes, :dial_to_words, 0, 240, 0.1],
      [:read, :fives, :dial_to_words, 0, 144, 0.1],
      [:read, :half_past, :dial_to_words, 4, 12, 0.1],
      [:draw, :quarters, :digital_to_dial, 0, 48, 0.1],
      [:rewrite, :minutes, :digital_to_words, 0, 240, 0.1],
      [:spot, :fives, :spot_mistake, 1, 50, 0.3],
      [:slips, :minutes, :dial_to_words, 0, 36, 0.12],
      [:slips, :oclock, :dial_to_digital, 4, 12, 0.12]
    ].each do |id, step_id, task_id, *bounds|
      it "#{id} on #{step_id}: neighbours have another clock at each place, all of the step is met, and all are about as hard" do
        alike, met, apart = bounds
        count = kind(id).usual_count(step(step_id), task(task_id))
        made = choice(id, step_id, task_id, count).versions(readers, 5)
        expect(made.each_cons(2).sum { |one, other| order.alike(one, other) }).to be <= alike
        expect(made.flatten.map(&:time).uniq.length).to be >= met
        hard = made.map { |one| one.sum { |item| core::Curriculum::Difficulty.of(item.time) } / one.length }
        expect(hard.max - hard.min).to be <= apart
        expect(made.map { |one| one.map(&:time).uniq.length }.uniq).to eq([count])
      end
    end

    it "deals every minute of the hour, and every time about as often as any other" do
      dealt = choice(:read, :minutes, :dial_to_words, 8).versions(readers * 9, 1).flatten.map(&:time)
      expect(dealt.map(&:minute).uniq.length).to eq(60)
      expect([dealt.uniq.length, dealt.tally.values.max]).to eq([720, 4])
    end

    it "begins with what is easiest, and goes on in an order of its own" do
      of = choice(:read, :fives, :dial_to_words, 8).versions(readers, 2)
      made = of.map { |one| one.map { |item| core::Curriculum::Difficulty.of(item.time) } }
      expect(made).to all(satisfy { |hard| hard.first(2).max <= hard.drop(2).min })
      expect(made.count { |hard| hard == hard.sort }).to be <= 1
    end

    it "avoids what a child had lately, while there is anything else" do
      had = step(:quarters).pool.first(30)
      expect(choice(:read, :quarters, :dial_to_words, 8).versions([reader(avoid: had)] * 3, 1).flatten.map(&:time) & had).to eq([])
      expect(choice(:slips, :quarters, :dial_to_words, 5).versions([reader(avoid: had)] * 3, 1).flatten.map(&:time) & had).to eq([])
      expect(choice(:read, :half_past, :dial_to_words, 8).versions([reader(avoid: step(:half_past).pool)], 1).first.length).to eq(8)
    end
  end

  it "asks noon and midnight where they are offered as answers" do
    [4, 12].each do |count|
      versions = choice(:facts, :day_halves, :day_half, count).versions([reader, reader], 3)
      halves = versions.map { |version| version.map { |item| item.time.half } }
      expect(halves).to all(include(:noon, :midnight))
      expect(halves.map(&:length)).to eq([count, count])
    end
  end

  it "keeps the hour hand five degrees from every numeral that it is not on" do
    times = choice(:read, :hour_hand, :hour_only, 16).versions([reader] * 30, 1).flatten.map(&:time).uniq
    off = times.map { |time| time.hands.hour_degrees % 30 }
    expect(off).to all(satisfy { |degrees| degrees.zero? || degrees.between?(5, 25) })
    expect(times.length).to be > 300
  end

  it "takes the class's own misreadings for mistakes to spot" do
    own = [misreading(:to_with_passed_hour)]
    found = items(:spot, :quarters, :spot_mistake, 4, misreadings: own)
    expect(found.map(&:misreading).uniq).to eq(own)
    found.each { |item| expect(item.said.time).not_to eq(item.time) }
    expect(items(:spot, :half_past, :spot_mistake, 8).map { |item| item.said.time.minute }.uniq - [0, 30]).to eq([])
    expect(kind(:spot).tasks_for(step(:oclock))).to eq([])
  end

  it "has three levels, easiest first, or one child's" do
    expect(items(:levels, :fives, :dial_to_words, 4).map(&:level).tally).to eq(1 => 4, 2 => 4, 3 => 4)
    made = choice(:levels, :oclock, :dial_to_words, 4).versions([2, 3, 3].map { |level| reader(level:) }, 1)
    expect(made.map { |one| one.map(&:level).uniq }).to eq([[2], [3], [3]])
    pools = core::Choosing::Levels.pools(step(:oclock), task(:dial_to_words))
    expect(made.map { |one| pools.index { |pool| (one.map(&:time) - pool).empty? } }).to eq([1, 2, 2])
  end

  {
    [:read, :oclock, :dial_to_words, 13] => 12, [:read, :oclock, :dial_to_words, 0] => 1, [:levels, :oclock, :dial_to_words, 6] => 4,
    [:cards, :quarters, :match, 5] => 6, [:cards, :quarters, :match, 2] => 4, [:slips, :half_past, :dial_to_words, 40] => 12,
    [:spot, :half_past, :spot_mistake, 60] => nil
  }.each do |(id, step_id, task_id, count), nearest|
    it "refuses #{count} of #{id} on #{step_id}, and says the nearest number that there is" do
      expect { items(id, step_id, task_id, count) }.to raise_error(core::InvalidCount) { |e|
        expect(e.nearest).to nearest ? eq(nearest) : be < count
      }
    end
  end

  it "asks for a number, and has fewer than the named times where fewer are wanted" do
    expect { items(:read, :oclock, :dial_to_words, "many") }.to raise_error(core::InvalidCount) { |e| expect(e.nearest).to eq(12) }
    expect(items(:facts, :day_halves, :day_half, 1).length).to eq(1)
    expect(kind(:make).usual_count(step(:quarters), nil)).to eq(1)
    times = [*step(:quarters).pool.first(6), *step(:oclock).pool.last(2)]
    dealt = core::Choosing::Practice.new(times.uniq, count: times.uniq.length, name: "All", seed: 1)
    expect(Array.new(2) { dealt.deal.sort }).to eq([times.uniq.sort] * 2)
  end

  it "prints a check that has no sheet as slips where its dials are few" do
    of = ->(id, count) { core::Choosing::SheetKind.of_check(task(id), count).id }
    expect([of.call(:dial_to_words, 6), of.call(:dial_to_words, 7), of.call(:hour_only, 3)]).to eq(%i[slips read read])
  end

  it "refuses a kind that there is not" do
    expect { kind(:poster) }.to raise_error(core::UnknownName, /poster/)
  end
end

RSpec.describe Vantick::Core::Choosing::MatchCards do
  Vantick::Core::Curriculum::Step.reading.each do |one|
    it "shares each hour and each minute of #{one.id} between two cards or more, so that no pair is found by one hand" do
      (4..12).each do |count|
        unless described_class.fits?(one, count)
          next expect { described_class.choose(step: one, count:) }.to raise_error(Vantick::Core::InvalidCount)
        end

        times = described_class.choose(step: one, count:, seed: count)
        expect([times.uniq.length, (times - one.pool).length]).to eq([count, 0])
        shared = [times.map(&:hour), times.map(&:minute)].map { |all| all.tally.values.min }
        expect(shared.last).to be >= 2
        expect(shared.first).to be >= 2 if one.pool.map(&:minute).uniq.length > 1
      end
    end
  end

  it "has every number of pairs from four to twelve on a step with a few minutes, but five" do
    expect((1..12).select { |count| described_class.fits?(step(:fives), count) }).to eq([4, *6..12])
  end
end

RSpec.describe Vantick::Core::Choosing::Problems do
  def asked(times, day = [], names = "")
    described_class.of(times.map { |one| time(one) }, conventions: Vantick::Core::Wording::Conventions.parse(names), day:)
  end

  it "asks for a time later, earlier and opposite, each with its answer" do
    answers = asked(%w[7:45 12:05 2:10]).map(&:answer)
    expect(answers).to eq(["quarter past eight, 8:15", "ten to twelve, 11:50", "ten past eight, 8:10"])
  end

  it "asks how long it is to what comes next in the class's own day" do
    problem = asked(%w[7:45 12:05 2:10 7:50], [{ time: "08:45", what: "choir" }, { time: "15:15", what: "home" }]).last
    expect([problem.text[/\A\w+ is at 8:45/], problem.answer]).to eq(["Choir is at 8:45", "55 minutes"])
    expect(asked(%w[1:00 2:00 3:00 7:00], [{ time: "15:15", what: "home" }]).length).to eq(3)
    expect(asked(%w[1:00 2:00 3:00 1:10], [{ time: "15:15", what: "home" }]).last.answer).to eq("2 hours 5 minutes")
    expect(asked(%w[1:00 2:00 3:00 2:14], [{ time: "15:15", what: "home" }]).last.answer).to eq("1 hour 1 minute")
    expect(asked(%w[1:00], []).length).to eq(1)
  end
end
