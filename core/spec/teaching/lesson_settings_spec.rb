# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::LessonSettings do
  let(:settings) { described_class.of(step: :fives, minutes: 40, seed: 1) }

  it "has the step's first opening and nothing else settled, where nothing is said" do
    settled = { step: :fives, minutes: 40, seed: 1, opening: 0, task: nil }
    expect(settings.to_h.reject { |name, value| settled.key?(name) || value.empty? }).to eq({})
    expect(settings.to_h).to include(settled)
  end

  it "calls the teaching method `method` in plain data, and reads it back" do
    changed = settings.with(teaching_method: { counting_to: :sixty_minus })
    expect(changed.to_h).to include(method: { counting_to: :sixty_minus })
    expect(described_class.of(changed.to_h)).to eq(changed)
  end

  it "is frozen, and changed only as another" do
    expect(settings).to be_frozen
    expect(settings.with(minutes: 30)).to have_attributes(minutes: 30, seed: 1)
    expect(settings.minutes).to eq(40)
  end
end
