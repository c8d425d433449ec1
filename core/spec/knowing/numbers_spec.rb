# frozen_string_literal: true

require_relative "figures"

# Every number of the model decides something: `bin/numbers` changes each of them by a fifth and says which nobody would notice here.
RSpec.describe "The numbers in knowing.yml" do
  Figures::GROUPS.each do |group|
    it "say of children what they said when they were chosen: #{group.to_s.tr('_', ' ')}" do
      expect(Figures.of(group)).to eq(Figures.recorded.fetch(group.to_s)), <<~SAID
        The model says something else than it did. If that is meant, look at bin/bench next_answer, then run bin/numbers --record.
      SAID
    end
  end
end
