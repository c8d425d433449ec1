# frozen_string_literal: true

RSpec.describe Vantick::Core::Choosing::Levels do
  Vantick::Core::Curriculum::Step.with_times.each do |step|
    it "shares the times of #{step.id} out among three levels, easier before harder" do
      pools = described_class.pools(step, step.tasks.first)
      expect(pools.flatten).to match_array(step.pool_for(step.tasks.first))
      hardest = pools.map { |pool| pool.map { |shown| Vantick::Core::Curriculum::Difficulty.of(shown) }.minmax }
      expect(hardest.each_cons(2).map { |easier, harder| easier.last <= harder.first }).to all(be(true))
    end
  end

  it "chooses for each level from its own times" do
    levels = described_class.choose(step: step(:minutes), task: task(:dial_to_words), count: 4, seed: 2)
    expect(levels.length).to eq(3)
    expect(levels.flat_map(&:times).uniq.length).to eq(12)
    levels.zip(described_class.pools(step(:minutes), task(:dial_to_words))) { |level, pool| expect(pool).to include(*level.times) }
  end

  it "says how many a level has" do
    expect { described_class.choose(step: step(:oclock), task: task(:dial_to_words), count: 5) }
      .to raise_error(Vantick::Core::InvalidCount, /1 to 4 clocks/)
  end

  it "gives those who have a step its hardest times, and those who do not know it yet the easiest" do
    levels = Vantick::Core::Knowing::States::ALL.to_h { |state| [state, described_class.of_state(state)] }
    expect(levels).to eq(secure: 3, nearly: 2, learning: 1, not_yet: 1)
  end
end
