# frozen_string_literal: true

RSpec.describe Vantick::Core::Error do
  it "is the root of what a caller can get wrong, and names the field" do
    [[-> { time("25:99") }, :time], [-> { task("song") }, :task], [-> { step("sevens") }, :step], [-> { misreading("lazy") }, :misreading],
     [-> { Vantick::Core::Wording::AnswerReader.read("x" * 201) }, :answer]].each do |wrong, field|
      expect(&wrong).to raise_error(described_class) { |error| expect(error.field).to eq(field) }
    end
  end

  it "keeps a message in one line, whatever was given" do
    ["x" * 10_000, "a\nb", "\xFF", "\e[31m"].each do |given|
      expect { task(given) }.to raise_error(described_class) { |error| expect(error.message).to match(/\A[[:print:]]{1,300}\z/) }
    end
  end

  it "is no kin of our own mistakes" do
    expect(Vantick::Core::InvalidData.ancestors).not_to include(described_class)
  end
end
