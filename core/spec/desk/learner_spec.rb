# frozen_string_literal: true

RSpec.describe Vantick::Core::Desk::Learner do
  let(:core) { Vantick::Core }
  let(:quarters) { core::Curriculum::Step.find(:quarters) }
  let(:task) { core::Tasks::Task.find(:dial_to_words) }
  let(:time) { core::Dial::DialTime.parse("3:15") }

  def answered(turn, right: true)
    shown = turn.times.first
    text = right ? turn.task.write(turn.task.right_answer(shown)) : "nothing"
    [core::Marking::Marker.mark(task: turn.task, time: shown, text:)]
  end

  it "asks what the search for a child's place asks, and goes on with each answer until the place is found" do
    learner = described_class.new(step: quarters, baseline: core::Knowing::Baseline.new)
    asked = (1..20).map do |seed|
      turn = core::Desk::TaskSelector.for(learner, seed:) or break learner.turns
      learner = learner.with_turn(turn).after(answered(turn))
      turn
    end
    expect(asked.length).to be_between(8, 12)
    expect(asked.map(&:reason).uniq).to eq([:tells])
    expect(learner.baseline.place.id).to eq(:minutes_to)
  end

  it "has other questions of the search ready for when the network is away" do
    ahead = core::Desk::TaskSelector.ahead(described_class.new(step: quarters, baseline: core::Knowing::Baseline.new), count: 3, seed: 1)
    expect(ahead.flat_map(&:times).uniq.length).to eq(3)
  end

  it "counts what went wrong one after the other" do
    turn = core::Desk::Turn.new(step: quarters, task:, times: [time], reason: :given)
    wrong = described_class.new(step: quarters).with_turn(turn).after(answered(turn, right: false))
    expect([wrong.wrong?, wrong.after(answered(turn)).wrong?]).to eq([true, false])
  end

  it "takes no part, reason or verdict that there is not" do
    expect { described_class.new(step: quarters, mood: 1) }.to raise_error(ArgumentError, /mood/)
    expect { core::Desk::Turn.new(step: quarters, task:, times: [time], reason: :luck) }.to raise_error(ArgumentError, /luck/)
    expect { core::Marking::MarkedAnswer.new(task:, time:, verdict: :fine) }.to raise_error(ArgumentError, /fine/)
    expect { core::Simulation::Traits.new(shoes: 1) }.to raise_error(ArgumentError, /shoes/)
  end
end
