# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::SupportPlan do
  let(:ways) { [task(:dial_to_words), task(:dial_to_digital)] }

  def asked(at, with, time, day, text = nil)
    text ||= with.write(with.right_answer(time))
    marked = Vantick::Core::Marking::Marker.mark(task: with, time:, text:)
    Vantick::Core::Curriculum::ItemResponse.new(step: at, marked:, day:)
  end

  def right(ids, tasks: ways, days: [10, 12, 14])
    ids.flat_map { |id| step(id).pool.each_slice([step(id).pool.length / 8, 1].max).map { |times| [step(id), times.first] } }
       .product(days, tasks).map { |(at, time), day, with| asked(at, with, time, day) }
  end

  # The class is at quarters; the child mixes up the hands at half past.
  def mixed_up
    step(:half_past).pool.first(6).flat_map do |time|
      swapped = Vantick::Core::Reading::Misreading.find(:hands_swapped).wrong_answers(time, task(:dial_to_digital)).first
      [asked(step(:half_past), task(:dial_to_digital), time, 15, swapped ? swapped.digital(":") : "1:11")]
    end
  end

  def plan(child)
    known = right(%i[oclock half_past])
    by_child = { **(1..6).to_h { |other| [other, known] }, 7 => child.sort_by(&:day) }
    described_class.of(Vantick::Core::Teaching::ClassProgress.new(by_child, today: 20), 7)
  end

  it "begins with the lowest step that the child hasn't shown, and goes one step on at the end" do
    weeks = plan(right(%i[oclock]) + mixed_up)
    expect(weeks.length).to eq(3)
    order = Vantick::Core::Curriculum::Step.with_times
    places = weeks.map { |week| order.index(week.step) }
    expect(places).to eq(places.sort)
    expect(weeks.map { |week| [week.step, week.task] }.uniq.length).to eq(3)
    expect(weeks.map { |week| week.times.length }).to eq([5, 5, 5])
    weeks.each { |week| expect(week.times - week.step.pool_for(week.task)).to eq([]) }
  end

  it "asks first in the way that is known least, and names the mistake that is likely there" do
    weeks = plan(mixed_up)
    asked = weeks.select { |week| week.step == step(:oclock) }.map(&:task)
    expect(asked.first).to eq(task(:dial_to_words))
    swapped = Vantick::Core::Reading::Misreading.find(:hands_swapped)
    told = weeks.select { |week| week.step.misreadings(week.task).include?(swapped) }
    expect(told.map(&:misreading)).to all(eq(swapped)).and have_attributes(length: be_positive)
  end

  # Wrong answers in words alone: digits, of which nothing is known, come first.
  it "has digits first of a child who was asked in words alone" do
    wrong = step(:half_past).pool.first(6).map { |time| asked(step(:half_past), task(:dial_to_words), time, 15, "ten past one") }
    weeks = plan(right(%i[oclock], tasks: [task(:dial_to_words)]) + wrong)
    first = weeks.select { |week| week.step == step(:half_past) }.map(&:task)
    expect(first).to eq([task(:dial_to_digital), task(:dial_to_words)].first(first.length)).and have_attributes(length: be_positive)
  end

  it "has three weeks for a child who never answered, and for one who knows all that the class does" do
    expect(plan([]).map { |week| week.step.id }.first).to eq(Vantick::Core::Curriculum::Step.with_times.first.id)
    expect(plan(right(%i[oclock half_past])).length).to be_between(0, 3)
  end

  it "holds the numbers that decide" do
    expect(described_class::TABLE.except(:ways)).to eq(weeks: 3, times_a_week: 4, minutes: 10, clocks: 5)
  end
end
