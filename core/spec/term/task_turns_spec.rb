# frozen_string_literal: true

RSpec.describe Vantick::Core::Term::TaskTurns do
  step = Vantick::Core::Curriculum::Step.find(:fives_past)
  child = Struct.new(:said, :written) { def ways(_) = { say: said, write: written } }

  { [0.5, 0.5] => %i[dial_to_words dial_to_digital dial_to_words], [0.5, 0.42] => %i[dial_to_words dial_to_digital dial_to_words],
    [0.8, 0.3] => %i[dial_to_digital dial_to_words dial_to_digital], [0.3, 0.8] => %i[dial_to_words dial_to_digital dial_to_words] }
    .each do |known, tasks|
    it "takes #{tasks.join(', ')} where #{known.first} of it is said and #{known.last} written" do
      turns = described_class.new
      expect(Array.new(3) { turns.next(step, [child.new(*known)] * 4) }).to eq(tasks)
    end
  end

  it "takes what there is where a step is asked in no words, also without children" do
    expect(described_class.new.next(Vantick::Core::Curriculum::Step.find(:hour_hand), [])).to eq(:hour_only)
    expect(described_class.new.next(step, [])).to eq(:dial_to_words)
  end
end
