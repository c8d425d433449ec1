# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::HelpingClocks do
  ladder = Vantick::Core::Curriculum::Step.with_times

  # As many as the step has where it has fewer: at half past, the smaller of two numbers shows at 12:30 alone.
  it "are three that show the misreading, of the class's own step or below, for every misreading and step" do
    Vantick::Core::Reading::Misreading.all.product(ladder).each do |misreading, step|
      lowest = ladder.find { |one| one.shows?(misreading) } or next
      home = step.shows?(misreading) ? step : lowest
      times = described_class.of(misreading, step)
      task = home.tasks.find { |one| home.misreadings(one).include?(misreading) }
      there = home.pool_for(task).select { |time| misreading.chance?(time, task) }.map(&:dial_time).uniq
      expect([times.length, times - there]).to eq([[3, there.length].min, []]), "#{misreading.id} #{step.id}"
      expect(times.uniq.map { |time| home.holds?(time) }).to all(be(true)), "#{misreading.id} #{step.id}"
    end
  end

  it "ask nothing of the fives of a class at quarters" do
    times = described_class.of(misreading(:to_with_passed_hour), step(:quarters))
    expect(times.map(&:minute).uniq).to eq([45])
    expect(times.uniq.length).to eq(3)
  end
end
