# frozen_string_literal: true

RSpec.describe Vantick::Core::Standing do
  let(:core) { Vantick::Core }
  let(:words) { task(:dial_to_words) }

  def asked(id, text, answer, day, with = words)
    marked = Vantick::Core::Marker.mark(task: with, time: with.parse_time(text), text: answer)
    Vantick::Core::Standing::Asked.new(step: step(id), marked:, day:)
  end

  def right(id, texts, days) = texts.zip(days.cycle).map { |text, day| asked(id, text, words.right_answer(time(text)).to_s, day) }

  quarters = %w[1:00 2:15 3:30 4:45 5:00 6:15 7:30 8:45]

  it "counts an answer for its step, and for those below whose times hold it" do
    states = described_class.new(right(:quarters, quarters, [1, 2]), today: 3).states
    expect(states[step(:quarters)]).to eq(:secure)
    expect(states[step(:half_past)]).to eq(:nearly)
    expect(states[step(:fives)]).to eq(:not_met)
    expect(states[step(:day_halves)]).to eq(:not_met)
  end

  it "lets what was secure fade when it is not asked for three weeks" do
    given = right(:quarters, quarters, [1, 2])
    expect(described_class.new(given, today: 22).fading).to eq([])
    expect(described_class.new(given, today: 23).fading).to eq([step(:quarters)])
  end

  it "goes on with the lowest step at which a child stumbles, and above all that were met where there is none" do
    given = right(:quarters, quarters, [1, 2])
    expect(described_class.new(given, today: 3).next_step).to eq(step(:fives_facts))
    wrong = [asked(:quarters, "9:45", "quarter to nine", 3), asked(:quarters, "10:45", "quarter to ten", 3)]
    standing = described_class.new(given + wrong, today: 3)
    expect(standing.stumbles).to include(step(:quarter_to))
    expect(standing.next_step).to eq(step(:quarter_to))
    expect(described_class.new([], today: 3).next_step).to eq(core::Step.with_times.first)
  end

  describe Vantick::Core::ClassStanding do
    def standing(answers) = Vantick::Core::Standing.new(answers, today: 10)

    let(:known) { right(:quarters, quarters, [1, 2]) }
    let(:lost) { [asked(:quarters, "9:45", "quarter to nine", 3), asked(:quarters, "10:45", "quarter to ten", 3)] }

    it "counts children by state, all of them" do
      found = described_class.new(anneke: standing(known), bram: standing([]))
      expect(found.counts(step(:quarters))).to eq(secure: 1, nearly: 0, learning: 0, not_met: 1)
    end

    it "takes up again the lowest step at which a fifth of those who met it stumble, and names them" do
      found = described_class.new(anneke: standing(known), bram: standing(known + lost), celyn: standing([]))
      expect(found.next_step.to_h).to eq(step: step(:quarter_to), reason: :stumbling, children: [:bram])
      few = (1..9).to_h { |number| [number, standing(known)] }
      expect(described_class.new(few.merge(bram: standing(lost))).next_step.reason).to eq(:go_on)
    end

    it "begins at the bottom, goes on above what was met, and is done at the top" do
      expect(described_class.new(anneke: standing([])).next_step.to_h).to include(reason: :begin, step: core::Step.with_times.first)
      expect(described_class.new(anneke: standing(known)).next_step.to_h).to include(reason: :go_on, step: step(:fives_facts))
      halves = [asked(:day_halves, "07:30", "a.m.", 1, task(:day_half))]
      expect(described_class.new(anneke: standing(halves)).next_step.to_h).to include(reason: :done, step: nil)
    end

    it "goes over what a step rests on where it is fading or not secure" do
      found = described_class.new(anneke: standing(known + lost))
      expect(found.to_go_over(step(:fives_to))).to include(step(:quarter_to), step(:half_past))
      expect(found.to_go_over(step(:quarters))).not_to include(step(:quarters))
    end
  end
end
