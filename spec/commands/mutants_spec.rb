# frozen_string_literal: true

require_relative "../../bench/mutants"

# The table of wrong changes is of the code as it is: nobody runs half an hour to hear that a line has moved.
RSpec.describe Mutants do
  it "has each line just once where it is to be changed, and something else in its place" do
    described_class.all.each do |mutant|
      expect { mutant.line }.not_to raise_error
      expect(mutant.to).not_to eq(mutant.from)
    end
    expect(described_class.all.length).to be >= 180
    expect(described_class.all.map(&:room).tally).to include("core" => be >= 60, "server" => be >= 60, "web" => be >= 30)
  end
end
