# frozen_string_literal: true

RSpec.describe Vantick::Core::Phrase do
  let(:core) { Vantick::Core }

  sides = %i[past_word to_word].to_h { |id| [id, Vantick::Core::Conventions::TABLE.fetch(id)] }

  sides[:past_word].product(sides[:to_word]) do |past_word, to_word|
    it "knows what others say where a class says #{past_word} and #{to_word}: the same time, in words of their own" do
      conventions = core::Conventions.new(past_word:, to_word:)
      all_times.each do |shown|
        others = described_class.elsewhere(shown, conventions)
        expect(others & described_class.all(shown, conventions)).to eq([]), shown.to_s
        read = others.map { |words| core::AnswerReader.read(words, conventions).map(&:time) }
        expect(read).to all(include(shown)), "#{others} for #{shown}"
      end
    end
  end

  it "has as many other ways as there are other words, and none on the hour" do
    expect(described_class.elsewhere(time("7:45"))).to eq(["quarter of eight", "quarter till eight", "quarter before eight"])
    expect(described_class.elsewhere(time("7:15"))).to eq(["quarter after seven"])
    expect(described_class.elsewhere(time("7:00"))).to eq([])
  end
end
