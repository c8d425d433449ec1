# frozen_string_literal: true

# Whoever changes one of these changes what teachers see, and says so here.
RSpec.describe Vantick::Core::Teaching::TeachingNumbers do
  numbers = { lesson_minutes: 40, group_count: 4, group_children: 8, group_minutes: 30, starter_exercises: 6, offered_again_days: 7,
              newly_secure_days: 7, group_named_from: 0.5, group_times: 3, paced_lessons: 18 }

  numbers.each do |name, value|
    it("has #{value} for #{name}") { expect(described_class.of(name)).to eq(value) }
  end

  it "has no other number, and each with a unit and a reason" do
    rows = Vantick::Core::Facts::DataFile.load("teaching")
    expect(rows.keys).to match_array(numbers.keys)
    expect(rows.values).to all(include(value: Numeric, unit: /\A[a-z ]+\z/, reason: /\.\z/))
  end

  it "says which numbers there are where another is asked for" do
    expect { described_class.of(:chairs) }.to raise_error(Vantick::Core::UnknownName, /group_minutes/)
  end
end
