# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::Order do
  core = Vantick::Core
  ladder = core::Curriculum::Step.with_times
  order = ->(**choices) { described_class.new(core::Wording::Conventions.new(**choices)) }

  it "is the ladder's where a class has chosen nothing" do
    expect(described_class.usual.of(ladder)).to eq(ladder)
    expect(described_class.usual.notation).to eq(:say)
  end

  it "begins with o'clock where a class does, and leaves all else as it is" do
    found = order[first_step: :oclock_first].of(ladder)
    expect(found.first(3).map(&:id)).to eq(%i[oclock hour_hand half_past])
    expect(found.drop(2)).to eq(ladder.drop(2))
    expect(order[first_step: :oclock_first].of(ladder.drop(1))).to eq(ladder.drop(1))
  end

  it "is the order of what is suggested, and of a plan" do
    conventions = core::Wording::Conventions.new(first_step: :oclock_first)
    progress = core::Teaching::ClassProgress.new((1..5).to_h { |key| [key, []] }, today: 1, conventions:)
    expect(progress.next_step.step.id).to eq(:oclock)
    goal = core::Term::Goal.new(aim: core::Term::Aim.new(:half_past), day: 8)
    days = { first: 1, last: 8, weekdays: core::Term::Days::WEEK.to_h { |day| [day, 40] } }
    plan = core::Term::TermProjection.new(progress, days:, goal:, past: core::Term::Past.new(from: 1)).plan
    expect(plan.first(2).map { |lesson| lesson.step.id }).to eq(%i[oclock hour_hand])
  end

  it "begins steps with digits where a class does" do
    turns = core::Term::TaskTurns.new(first: order[first_notation: :digits_first].notation)
    expect(Array.new(2) { turns.next(core::Curriculum::Step.find(:half_past), []) }).to eq(%i[dial_to_digital dial_to_words])
  end
end
