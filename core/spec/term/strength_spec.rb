# frozen_string_literal: true

require_relative "helpers"

# The form is half-life regression's, 2^(-days / half-life) (Settles and Meeder, ACL 2016; from memory); the growth is judgement,
# worked by hand.
RSpec.describe Vantick::Core::Term::Strength do
  def strength(*days)
    answers = days.flatten.map { |one| Vantick::Core::Judging::Secure::Given.new(marked: one.marked, day: one.day) }
    described_class.of(answers)
  end

  let(:secure) { day_of(:half_past, 1) + day_of(:half_past, 10) }

  it "begins at fourteen days when the step becomes secure, and halves with each half-life" do
    kept = strength(secure)
    expect([kept.days, kept.last_right]).to eq([14, 10])
    expect([10, 24, 38].map { |day| kept.chance(day) }).to eq([1, 0.5, 0.25])
    expect(kept.chance(3)).to eq(1)
  end

  it "is nothing before" do
    expect(strength(day_of(:half_past, 1))).to be_nil
    expect(strength(day_of(:half_past, 1, right: 2) + day_of(:half_past, 9, right: 2))).to be_nil
  end

  it "grows by 1.7 and more the nearer it was to being forgotten" do
    expect(strength(secure, day_of(:half_past, 24)).days).to be_within(1e-9).of(14 * 1.7 * 1.5)
    expect(strength(secure, day_of(:half_past, 11)).days).to be_within(1e-9).of(14 * 1.7 * (2 - (2**(-1 / 14.0))))
  end

  it "is halved by a wrong day, to five days at least; a day that is neither changes nothing" do
    expect(strength(secure, day_of(:half_past, 12, right: 1)).days).to eq(7)
    expect(strength(secure, *(12..20).map { |day| day_of(:half_past, day, right: 0) }).days).to eq(5)
    expect(strength(secure, day_of(:half_past, 12, right: 3))).to have_attributes(days: 14, last_right: 10)
  end

  it "never grows beyond half a year" do
    expect(strength(secure, *(1..9).map { |time| day_of(:half_past, 10 + (40 * time)) }).days).to eq(180)
  end

  it "fades below four in five" do
    days = 14 * -Math.log2(0.8)
    expect([10 + days.floor, 10 + days.ceil].map { |day| strength(secure).fading?(day) }).to eq([false, true])
  end

  it "counts answers on a step above that hold the same times" do
    later = [asked(:quarters, "3:30", :right, 30), asked(:quarters, "4:30", :right, 30)]
    by_child = { 1 => day_of(:half_past, 1) + day_of(:half_past, 10) + later }
    found = standing(by_child, today: 31)
    expect(found.by_child[1].fading).not_to include(step(:half_past))
    expect(found.last_day(step(:half_past))).to eq(30)
    expect(standing({ 1 => by_child[1].first(10) }, today: 31).fading(step(:half_past))).to eq([1])
  end
end
