# frozen_string_literal: true

RSpec.describe "Games on paper" do
  core = Vantick::Core
  steps = core::Curriculum::Step.with_times.select { |step| step.tasks.map(&:id).include?(:match) }

  def times(step, count, seed = 1, misreading = nil)
    Vantick::Core::Choosing::GameTimes.choose(step:, count:, seed:, misreading:)
  end

  steps.each do |step|
    it "has no clock twice on #{step.name}, and each of the step" do
      found = times(step, 11)
      expect([found.uniq.length, found - step.pool]).to eq([11, []])
    end
  end

  # On quarters and fives there is enough to be taken for something else.
  %i[quarters fives minutes].each do |id|
    it "has near misses of most clocks on #{id}" do
      shares = (1..10).map do |seed|
        found = times(step(id), 20, seed)
        taken = found.to_h { |time| [time, core::Choosing::GameTimes.taken_for(time) & found] }
        found.count { |time| taken[time].any? || taken.any? { |_, others| others.include?(time) } } / 20.0
      end
      expect(shares.min).to be > 0.8
    end
  end

  it "takes a mistake's own near misses first" do
    mistake = core::Reading::Misreading.find(:to_with_passed_hour)
    share = lambda do |misreading|
      found = times(step(:fives_to), 20, 1, misreading)
      found.count { |time| found.any? { |other| core::Choosing::GameTimes.taken_for(other, mistake).include?(time) } }
    end
    expect(share.call(mistake)).to be > share.call(nil)
  end

  it "says in words where a step has fewer clocks" do
    expect { times(step(:oclock), 13) }.to raise_error(core::InvalidCount, "O'clock has 11 clocks. Choose fewer.")
  end

  describe core::Choosing::Bingo do
    games = steps.product([1, 12, 26, 40])

    def game(step, cards, seed = 1)
      count = [20, step.pool.count { |element| !element.hidden_hand? }].min
      described_class.new(times(step, count, seed), cards:, seed:)
    end

    it "gives every child another card" do
      twice = games.select { |step, cards| game(step, cards).cards.uniq(&:sort).length < cards }
      expect(twice).to be_empty
    end

    it "has nine clocks on each card, every one of them called once" do
      games.each do |step, cards|
        found = game(step, cards)
        expect(found.cards.map { |card| card.uniq.length }.uniq).to eq([9])
        expect(found.calls.uniq.length).to eq(found.calls.length)
        expect(found.cards.flatten - found.calls).to be_empty
      end
    end

    it "has each clock on about as many cards as any other" do
      games.select { |step, _| step.pool.length > 40 }.each do |step, cards|
        counts = game(step, cards).then { |found| found.calls.map { |time| found.cards.count { |card| card.include?(time) } } }
        expect(counts.max - counts.min).to be <= 2
      end
    end

    it "waits for the first line, and not long for the last" do
      found = (1..10).map { |seed| game(step(:fives), 26, seed) }
      expect(found.map(&:first_line).min).to be >= 5
      expect(found.map { |one| one.last_line - one.first_line }.max).to be <= 12
    end

    it "is the same again from the same number" do
      made = Array.new(2) { game(step(:fives), 26, 7) }
      expect([made.map(&:cards).uniq.length, made.map(&:calls).uniq.length]).to eq([1, 1])
    end

    it "needs as many clocks as a card has" do
      expect { described_class.new(times(step(:oclock), 8), cards: 2) }.to raise_error(core::InvalidCount, /at least 9/)
    end
  end
end
