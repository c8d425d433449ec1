# frozen_string_literal: true

RSpec.describe Vantick::Core::Wording::Phrase do
  let(:core) { Vantick::Core }

  sides = %i[past_word to_word].to_h { |id| [id, Vantick::Core::Wording::Conventions::TABLE.fetch(id)] }

  sides[:past_word].product(sides[:to_word]) do |past_word, to_word|
    it "knows what others say where a class says #{past_word} and #{to_word}: the same time, in words of their own" do
      conventions = core::Wording::Conventions.new(past_word:, to_word:)
      all_times.each do |shown|
        others = described_class.elsewhere(shown, conventions)
        expect(others & described_class.all(shown, conventions)).to eq([]), shown.to_s
        read = others.map { |words| core::Wording::AnswerReader.read(words, conventions).map(&:time) }
        expect(read).to be_empty.or(all(include(shown))), "#{others} for #{shown}"
      end
    end
  end

  it "has as many other ways as there are other words, and none on the hour" do
    expect(described_class.elsewhere(time("7:45"))).to eq(["quarter of eight", "quarter till eight", "quarter before eight"])
    expect(described_class.elsewhere(time("7:15"))).to eq(["quarter after seven"])
    expect(described_class.elsewhere(time("7:00"))).to eq([])
  end

  it "says half past where all else is said after, in words, in short and as a count" do
    after = core::Wording::Conventions.parse("after,of")
    said = all_times.flat_map do |shown|
      [*described_class.all(shown, after), core::Wording::Phrase.short(core::Wording::SpokenTime.usual(shown), after)]
    end
    expect(said.grep(/half (?!past)/)).to eq([])
    expect(described_class.usual(time("7:30"), after)).to eq("half past seven")
    expect(core::Wording::Counted.usual(time("7:30")).words(after)).to eq("half past")
    expect(described_class.elsewhere(time("7:30"), after)).to eq([])
  end

  it "tells homes the words that homes use, at every time" do
    { "7:15" => ["quarter after seven", "seven fifteen"], "7:45" => ["quarter of eight", "quarter till eight", "seven forty-five"],
      "7:30" => ["seven thirty"], "7:40" => ["twenty of eight", "twenty till eight", "seven forty"] }.each do |shown, said|
      expect(described_class.at_home(time(shown))).to include(*said)
    end
    all_times.each { |shown| expect(described_class.at_home(shown).length).to be_between(shown.minute.zero? ? 0 : 2, 3), shown.to_s }
  end
end
