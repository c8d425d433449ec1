# frozen_string_literal: true

require "yaml"

RSpec.describe "answers as people write them" do
  table = YAML.safe_load_file(File.join(__dir__, "messy_answers.yml"))

  table.each do |written, taken|
    it "takes #{written.inspect} for #{taken}" do
      givens = Vantick::Core::Wording::AnswerReader.read(written)
      words = givens.map(&:read_as).uniq.join(" or ")
      slips = givens.flat_map(&:slips).uniq.join(" ")
      expect([words.empty? ? "nothing" : words, slips].reject(&:empty?).join(" | ")).to eq(taken)
    end
  end

  it "are at least 150" do
    expect(table.length).to be >= 150
  end
end
