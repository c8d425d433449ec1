# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::ContrastingPair do
  # What the two clocks differ in, worked by hand for each step: hours apart, and the minutes of each.
  {
    oclock: [[1, [0, 0]]], half_past: [[1, [30, 30]]], quarter_past: [[1, [15, 15]]], quarter_to: [[1, [45, 45]]],
    quarters: [[0, [15, 45]]], fives_past: [[0, [5, 25]]], fives_to: [[0, [35, 55]]], fives: [[0, [25, 35]]],
    minutes_past: [[0, [1, 29]]], minutes_to: [[0, [31, 59]]], minutes: [[0, [29, 31]]]
  }.each do |id, expected|
    it "shows of #{id} two clocks that differ in what matters" do
      found = (1..12).map { |seed| described_class.of(step(id), step(id).pool, Random.new(seed)) }
      told = found.map { |one, other| [(other.hour - one.hour) % 12, [one.minute, other.minute]] }
      expect(told.uniq).to eq(expected)
      expect(found.uniq.length).to be > 3
      expect(found.flatten).to all(satisfy { |time| !time.hidden_hand? })
    end
  end

  it "has none where a step has no whole clocks, or no pair is free" do
    expect(described_class.of(step(:hour_hand), step(:hour_hand).pool, Random.new(1))).to eq([])
    expect(described_class.of(step(:quarter_to), [step(:quarter_to).pool.first], Random.new(1))).to eq([])
  end

  describe "in a lesson" do
    def shown(id, seed, minutes: 45)
      lesson = lesson_of(step: step(id), task: task(:dial_to_words), minutes:, seed:)
      lesson.stages.find { |stage| stage.id == :show }.items.filter_map(&:time)
    end

    %i[quarter_to quarters fives_past fives_to fives minutes_past minutes_to minutes].each do |id|
      it "comes first on #{id}, and what is new before what is not" do
        (1..6).each do |seed|
          times = shown(id, seed)
          expect(times.first(2)).to eq(described_class.of(step(id), times.first(2), Random.new(1)))
          fresh = times.map { |time| described_class.newest(step(id), times).include?(time) }
          expect(fresh).to eq(fresh.sort_by { |one| one ? 0 : 1 })
        end
      end
    end

    # What a class has not been shown yet is nothing to begin with.
    (Vantick::Core::Curriculum::Step.with_times.select(&:whole?) - [Vantick::Core::Curriculum::Step.find(:oclock)]).each do |step|
      it "is not given away by a warm-up or a review on #{step.id}, which are full" do
        [20, 45, 75].each do |minutes|
          lesson = lesson_of(step: step, task: task(:dial_to_words), minutes:, seed: minutes)
          early = lesson.stages.select { |stage| %i[warm_up recap].include?(stage.id) }
          kinds = early.flat_map do |stage|
            stage.items.filter_map do |item|
              item.time && Vantick::Core::Curriculum::KnowledgeComponents.of(item.task, item.time)
            end
          end
          expect(kinds).not_to include(step.id)
          expect(early.map(&:missing)).to eq([0, 0])
        end
      end
    end
  end
end
