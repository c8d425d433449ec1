# frozen_string_literal: true

RSpec.describe Vantick::Core::Groups do
  def known(key, misreading_id = nil, step_id = nil)
    described_class::Known.new(key:, misreading: misreading_id && misreading(misreading_id), step: step_id && step(step_id))
  end

  def groups(children, **more) = described_class.of(children, **more)

  it "puts everyone in one group, none too large and none alone, in as many as can be led" do
    random = Random.new(4)
    ids = Vantick::Core::Misreading.all.map(&:id).sample(5, random:) + ([nil] * 6)
    steps = %i[oclock quarters fives minutes]
    (2..32).to_a.product([4, 6]).each do |size, most|
      children = Array.new(size) { |key| known(key, ids.sample(random:), steps.sample(random:)) }
      found = groups(children, most:)
      expect(found.flat_map(&:children)).to match_array(0...size)
      expect(found.length).to be <= most
      expect(found.map { |group| group.children.length }).to all(be_between(2, 8))
    end
  end

  it "groups by likely misreading first, then by the lowest step not secure" do
    children = [known("Bo", :to_with_passed_hour), known("Cy", nil, :fives), known("Di", :to_with_passed_hour), known("Ed", nil, :quarters),
                known("Fay", nil, :fives), known("Gil", nil, :quarters)]
    found = groups(children)
    expect(found.map(&:children)).to eq([%w[Bo Di], %w[Ed Gil], %w[Cy Fay]])
    expect(found.first.misreadings).to eq([misreading(:to_with_passed_hour)])
    expect(found.first.times).to eq(misreading(:to_with_passed_hour).best_times)
    expect(found.map(&:step)).to eq([nil, step(:quarters), step(:fives)])
  end

  it "joins one who is alone to those whose misreading is mended the same way" do
    children = [known("Bo", :to_with_passed_hour), known("Cy", :to_with_passed_hour),
                known("Di", :sides_swapped), known("Ed", :sides_swapped), known("Fay", :next_hour_early)]
    expect(groups(children).map { |group| group.children.sort }).to contain_exactly(%w[Bo Cy Fay], %w[Di Ed])
  end

  it "has one group for one child, and none for nobody" do
    expect(groups([known("Bo")]).map(&:children)).to eq([["Bo"]])
    expect(groups([])).to eq([])
  end

  it "makes groups larger where so many cannot be led in so few, and asks for one at least" do
    (33..40).each do |many|
      found = groups(Array.new(many) { |key| known(key) }).map { |group| group.children.length }
      expect([found.sum, found.length <= 4, found.max - found.min <= 10]).to eq([many, true, true])
    end
    expect { groups([known("Bo")], most: 0) }.to raise_error(Vantick::Core::InvalidCount, /1 group or more/)
  end

  describe Vantick::Core::Secure do
    def answers(*texts, days: [1, 2])
      texts.map.with_index do |text, at|
        described_class::Given.new(marked: mark("dial_to_words", "7:45", text), day: days[at % days.length])
      end
    end

    let(:right) { ["quarter to eight"] * 8 }

    it "is secure with eight answers on two days, eighty per cent right, nothing likely misread" do
      expect(described_class.state(answers(*right))).to eq(:secure)
      expect(described_class.state(answers(*right, "ten past two", "ten past three"))).to eq(:secure)
    end

    it "is less with fewer answers, on one day, or with fewer right" do
      expect(described_class.state(answers(*right.first(7)))).to eq(:nearly)
      expect(described_class.state(answers(*right, days: [1]))).to eq(:nearly)
      expect(described_class.state(answers(*right.first(6), *(["ten past two"] * 4)))).to eq(:nearly)
      expect(described_class.state(answers(*right.first(5), *(["ten past two"] * 5)))).to eq(:learning)
    end

    it "is not secure while a misreading is likely" do
      mixed = Array.new(8) { |at| described_class::Given.new(marked: mark("dial_to_words", "3:15", "quarter past three"), day: at) }
      wrong = Array.new(2) { |at| described_class::Given.new(marked: mark("dial_to_words", "7:45", "quarter to seven"), day: at) }
      expect(described_class.state(mixed + wrong)).to eq(:nearly)
    end

    it "looks at the last ten, and has nothing to say of no answers" do
      expect(described_class.state(answers(*(["ten past two"] * 5), *right, *right.first(2)))).not_to eq(:learning)
      expect(described_class.state([])).to eq(:not_met)
      expect(described_class.state(answers("", ""))).to eq(:not_met)
    end
  end
end
