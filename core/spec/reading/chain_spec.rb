# frozen_string_literal: true

RSpec.describe Vantick::Core::Reading::Chain do
  it "ends in the right answer when every step is done rightly, at all times of the task" do
    Vantick::Core::Tasks::Task.all.each do |task|
      task.times.each { |shown| expect(described_class.for(task.chain).answers(shown)).to eq([task.right_answer(shown)]) }
    end
  end

  it "takes the steps in the order in which a child does" do
    expect(described_class.for(:dial_to_words).steps).to eq(%i[hands hour side fives ticks writing])
  end

  it "bends one step and does the others rightly" do
    late = described_class.for(:dial_to_digits).answers(time("7:23"), at: :ticks) { |draft| [draft.with(ticks: 0), draft.with(ticks: 1)] }
    expect(late.map(&:to_s)).to eq(%w[7:20 7:21])
  end

  it "drops what cannot be said or written" do
    far = described_class.for(:dial_to_digits).answers(time("7:55"), at: :fives) { |draft| [draft.with(fives: draft.fives + 5)] }
    expect(far).to eq([])
  end

  it "leaves a draft as it is when a step tells more" do
    draft = Vantick::Core::Reading::PartialReading.new(time: time("7:23"))
    expect(draft.with(hour: 7).hour).to eq(7)
    expect([draft.hour, draft.frozen?]).to eq([nil, true])
  end
end
