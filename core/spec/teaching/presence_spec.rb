# frozen_string_literal: true

RSpec.describe Vantick::Core::Teaching::Presence do
  def answers(*days)
    task = Vantick::Core::Tasks::Task.find(:dial_to_words)
    step = Vantick::Core::Curriculum::Step.find(:half_past)
    marked = Vantick::Core::Marking::Marker.mark(task:, time: Vantick::Core::Dial::DialTime.parse("4:30"), text: "half past four")
    days.map { |day| Vantick::Core::Curriculum::ItemResponse.new(step:, marked:, day:) }
  end

  # Ten children; on day 5 all answered, on day 6 the last two did not, on day 7 three of ten did.
  let(:asked) { (1..10).to_h { |key| [key, answers(5, *([6] if key <= 8), *([7] if key <= 3))] } }

  def there?(key, day, **said) = described_class.new(asked, **said).there?(key, day)

  it "takes who did not answer, where most did, to have been away" do
    expect([there?(8, 6), there?(9, 6)]).to eq([true, false])
  end

  it "takes nobody to have been away where few answered" do
    expect([there?(3, 7), there?(4, 7), there?(4, 8)]).to eq([true, true, true])
  end

  it "believes a teacher who says that a child was away, but an answer more" do
    expect(there?(4, 7, away: { 4 => [7] })).to be(false)
    expect(there?(3, 7, away: { 3 => [7] })).to be(true)
  end

  it "has no child there before it came into the class" do
    expect([there?(4, 2, since: { 4 => 3 }), there?(4, 3, since: { 4 => 3 })]).to eq([false, true])
  end

  # Worked by hand: ten lessons at .06, then two days with none and two of ten.
  it "knows how often the class is away" do
    expect(described_class.new(asked).away).to be_within(1e-9).of((0.2 + 0.6) / 12)
    expect(described_class.new({}).away).to eq(0.06)
    expect(described_class.new(asked, away: { 4 => [7] }).away).to be_within(1e-9).of((0.2 + 0.1 + 0.6) / 13)
  end

  it "counts nobody as missing who had not come yet" do
    expect(described_class.new(asked, since: { 9 => 7, 10 => 7 }).away).to be_within(1e-9).of(0.6 / 12)
  end

  describe "for a class" do
    let(:lesson) { Vantick::Core::Teaching::SchemeOfWork::GivenLesson.new(step: Vantick::Core::Curriculum::Step.find(:fives_past), day: 7) }

    def state(key, **presence)
      record = Vantick::Core::Teaching::ClassRecord.new(lessons: [lesson], **presence)
      found = Vantick::Core::Teaching::ClassProgress.new(asked, today: 9, record:)
      found.by_child.fetch(key).states.fetch(lesson.step)
    end

    it "has a lesson count for nobody who was away, and for nobody who came later" do
      expect(state(9)).to eq(:learning)
      expect(state(9, away: { 9 => [7] })).to eq(:not_yet)
      expect(state(9, since: { 9 => 8 })).to eq(:not_yet)
    end
  end
end
