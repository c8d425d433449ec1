# frozen_string_literal: true

RSpec.describe Vantick::Core::Choosing::Chooser do
  def choose(step_id, count, task_id: :dial_to_words, **more)
    described_class.choose(step: step(step_id), task: task(task_id), count:, **more)
  end

  def spread(values, all) = all.map { |value| values.count(value) }.minmax.then { |fewest, most| most - fewest }

  # Of four quarters taken in turn one is in the left half, which is less than a third.
  uneven_sides = %i[quarters day_halves]
  asked = Vantick::Core::Curriculum::Step.with_times.flat_map { |step| step.tasks.map { |task| [step, task] } }
  asked.product([1, 3, 5, 8, 12]).each do |(step, task), count|
    it "keeps the rules of choosing for #{count} of #{step.id}, #{task.id}" do
      pool = step.pool_for(task)
      times = described_class.choose(step:, task:, count:, seed: count).times
      sides = times.map(&:side)
      expect(times.uniq.length).to eq(count)
      expect(pool).to include(*times)
      expect(times.map(&:hour).uniq.length).to eq(count)
      expect(spread(times.map(&:minute), pool.map(&:minute).uniq)).to be <= 1
      if count == 12 && pool.length == 12
        expect(times).to match_array(pool)
      else
        expect(times).not_to include(satisfy(&:hidden_hand?))
      end
      if pool.map(&:side).uniq.length > 1 && uneven_sides.none?(step.id)
        expect([sides.count(:past), sides.count(:to)]).to all(be >= (count / 3))
      end
      expect(times).to include(satisfy(&:twelve_hour?)) if count >= 5 && step.id != :oclock
      difficulty = times.map { |shown| Vantick::Core::Curriculum::Difficulty.of(shown) }
      expect(difficulty).to eq(difficulty.sort)
    end
  end

  it "gives the same times for the same seed, and others for others" do
    first, again = Array.new(2) { choose(:fives, 5, seed: 7).times }
    expect(first).to eq(again)
    expect((1..6).map { |seed| choose(:fives, 5, seed:).times }.uniq.length).to be > 3
  end

  it "avoids yesterday's times as long as others are left" do
    yesterday = choose(:quarters, 5, seed: 1).times
    expect(choose(:quarters, 5, seed: 1, avoid: yesterday).times & yesterday).to eq([])
    expect(choose(:oclock, 5, avoid: step(:oclock).pool).times.length).to eq(5)
  end

  # The best of all subsets, by brute force on a small pool, as the outside judge.
  it "comes within two per cent of the best of all subsets that are spread as well" do
    hours = [0, 1, 2, 4, 7, 10]
    pool = step(:quarters).pool.select { |shown| hours.include?(shown.hour) }
    task = task(:dial_to_words)
    telling = Vantick::Core::Choosing::Discrimination.new(pool, task)
    balance = Vantick::Core::Choosing::Balance.new(pool, 4, [])
    best = pool.combination(4).select { |times| balance.faults(times).sum.zero? }.map { |times| telling.worth(times) }.max
    5.times do |seed|
      times = described_class.new(telling, balance, 4, Random.new(seed)).times
      expect(balance.faults(times)).to all(eq(0))
      expect(telling.worth(times)).to be_between(0.98 * best, best + 1e-9)
    end
  end

  it "says what its times can tell: pairs told apart, and chances as marking would count them" do
    choice = choose(:quarters, 5, seed: 2)
    expect(choice.pairs_told_apart).to be_between(1, choice.pairs_possible)
    choice.chances.each do |id, chances|
      marked = choice.times.map do |shown|
        Vantick::Core::Marking::MarkedAnswer.new(task: task(:dial_to_words), time: shown, verdict: :right)
      end
      expect(Vantick::Core::Judging::Evidence.new(misreading(id), marked).chances).to eq(chances)
    end
    expect(choice.chances.keys).not_to include(:stops_at_five)
  end

  it "tells more pairs apart than times taken in order" do
    telling = Vantick::Core::Choosing::Discrimination.for(step(:minutes), task(:dial_to_words))
    expect(telling.worth(choose(:minutes, 5).times)).to be > telling.worth(step(:minutes).pool.first(5)) + 10
  end

  it "names the misreadings it cannot show" do
    telling = Vantick::Core::Choosing::Discrimination.for(step(:quarters), task(:dial_to_words))
    told = ->(*texts) { Vantick::Core::Choosing::Choice.new(telling, texts.map { |text| time(text) }).untold }
    often = ->(ids) { ids.reject { |id| misreading(id).seldom? } }
    expect(often[told["3:15"]]).to contain_exactly(:next_hour_early, :to_with_passed_hour, :past_count_with_to)
    expect(told["3:15", "3:30", "7:45"]).to eq([:smaller_of_two])
    expect(told["12:15", "3:30", "7:45"]).to eq([])
  end

  it "refuses counts that cannot be" do
    [0, -1, 13, 500, "5", nil, 2.5].each do |count|
      expect { choose(:oclock, count) }.to raise_error(Vantick::Core::InvalidCount, /Choose 1 to 12 clocks/)
    end
    expect { step(:hands) }.to raise_error(Vantick::Core::UnknownName, /use one of hour_hand, oclock/)
  end
end
