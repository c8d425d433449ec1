# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::CountingRound do
  let(:hops) { described_class.fives }

  # Common practice, no source: the first five is said at the one, sixty at the twelve; then back to nothing.
  it "says five at the one, sixty at the twelve, and comes back to nothing" do
    expect(hops.map(&:said)).to eq([*(0..60).step(5), *(0..55).step(5).to_a.reverse])
    expect(hops.map(&:direction).tally).to eq(forward: 13, back: 12)
  end

  it "stands where the long hand stands at that minute" do
    hops.each { |hop| expect(hop.place).to eq(hop.said % 60) }
    expect(hops.map(&:place).minmax).to eq([0, 55])
  end

  it "keeps every number said on the dial, and takes them away again going back" do
    hops.each do |hop|
      shown = hop.lights.flat_map { |light| light[:counts] }
      expect(shown.map(&:last)).to eq((5..hop.said).step(5).to_a)
      expect(shown.map { |place, said| place == said }).to be_empty.or(all(be(true)))
      expect(hop.lights.map { |light| [light[:from], light[:to]] }).to eq(shown.empty? ? [] : [[0, hop.said]])
    end
    expect(hops).to be_frozen
  end

  # Common practice, no source: twelve, one, two, up to twelve again, and back.
  it "counts the hours from number to number of the short hand" do
    hours = described_class.hours
    expect(hours.map(&:said)).to eq([12, *1..12, *(1..11).to_a.reverse, 12])
    expect(hours.map(&:place)).to eq([0, *(1..11).map { |hour| hour * 60 }, 0, *(1..11).map { |hour| hour * 60 }.reverse, 0])
    expect(hours.map(&:direction).tally).to eq(forward: 13, back: 12)
  end

  it "counts hours in lessons before fives, and fives from there on" do
    kinds = Vantick::Core::Curriculum::Step.with_times.to_h { |step| [step.id, described_class.kind(step)] }
    expect(kinds.slice(:hour_hand, :oclock, :half_past, :quarters).values.uniq).to eq([:counting_hours])
    expect(kinds.slice(:fives_facts, :fives_past, :fives, :minutes).values.uniq).to eq([:counting_round])
    %i[half_past fives_past].each do |id|
      step = Vantick::Core::Curriculum::Step.find(id)
      lesson = lesson_of(step:, task: Vantick::Core::Teaching::LessonPlan.tasks(step).first, minutes: 40)
      expect(lesson.stages.first.items.first.kind).to eq(kinds.fetch(id))
    end
  end

  it "takes as long one way as the other" do
    seconds = Vantick::Core::Teaching::Pacing::SECONDS
    expect(seconds.fetch(:counting_hours)).to eq(seconds.fetch(:counting_round))
  end
end
