# frozen_string_literal: true

RSpec.describe Vantick::Core::Choosing::SheetChoice do
  let(:core) { Vantick::Core }

  def kind(id) = Vantick::Core::Choosing::SheetKind.find(id)

  def choice(id, step_id, task_id, count, **more)
    described_class.new(kind: kind(id), step: step(step_id), task: task(task_id), count:, **more)
  end

  def items(...) = choice(...).items(3)

  it "has exercises for every kind with a task, on every step that can be asked so" do
    core::Choosing::SheetKind.all.reject { |one| one.tasks.empty? }.each do |one|
      core::Teaching::Step.with_times.product(one.tasks).select { |on, with| one.tasks_for(on).include?(with) }.each do |on, with|
        found = described_class.new(kind: one, step: on, task: with, count: 2).items(1)
        expect(found.length).to eq(one.id == :levels ? 6 : 2), "#{one.id} #{on.id} #{with.id}"
        expect(on.pool_for(with)).to include(*found.map(&:time))
      end
    end
  end

  it "gives every card a near miss: the same hour or the same minutes" do
    core::Teaching::Step.reading.product((2..11).to_a).each do |on, count|
      times = core::Choosing::MatchCards.choose(step: on, count:, seed: count)
      expect(times.uniq.length).to eq(count)
      near = times.map { |one| times.count { |other| one != other && (one.hour == other.hour || one.minute == other.minute) } }
      expect(near).to all(be_positive), "#{on.id} #{count}"
    end
    expect { core::Choosing::MatchCards.choose(step: step(:oclock), count: 1) }.to raise_error(core::InvalidCount)
  end

  it "makes other versions of a sheet, nearly as hard" do
    versions = choice(:read, :minutes, :dial_to_words, 8).versions(30, 5)
    expect(versions.map { |one| one.map(&:time) }.uniq.length).to eq(30)
    hard = versions.map { |one| one.sum { |item| core::Choosing::Difficulty.of(item.time) } / one.length }
    expect(hard.max - hard.min).to be < 0.12
  end

  it "takes the class's own misreadings for mistakes to spot" do
    own = [misreading(:to_with_passed_hour)]
    found = items(:spot, :quarters, :spot_mistake, 4, misreadings: own)
    expect(found.map(&:misreading).uniq).to eq(own)
    found.each { |item| expect(item.said.time).not_to eq(item.time) }
  end

  it "has three levels, easiest first, and refuses more than there is" do
    expect(items(:levels, :fives, :dial_to_words, 4).map(&:level).tally).to eq(1 => 4, 2 => 4, 3 => 4)
    expect { items(:read, :oclock, :dial_to_words, 13) }.to raise_error(core::InvalidCount)
    expect { core::Choosing::SheetKind.find(:poster) }.to raise_error(core::UnknownName, /poster/)
  end
end
