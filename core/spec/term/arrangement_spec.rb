# frozen_string_literal: true

require_relative "helpers"

RSpec.describe Vantick::Core::Term::Arrangement do
  # Days 1 to 6: five lessons and one that is skipped, the third pinned.
  let(:lessons) do
    ids = %i[hour_hand oclock half_past quarter_past quarter_to]
    taught = ids.each.with_index(1).map { |id, day| lesson(day, step(id), day == 3 ? :pinned : nil) }
    [*taught, lesson(6, nil, :skipped, kind: :skipped)]
  end

  def lesson(day, step, settled, kind: :new)
    Vantick::Core::Term::Planned.new(day:, minutes: 45, kind:, step:, recap: [], check: false, settled:)
  end

  def settled(kind, **more) = described_class.new(lessons).settled(kind, **more)

  def steps(found) = found.transform_values { |one| one.step&.id }

  it "moves a lesson, the others moving up round what is fixed" do
    found = settled(:move, day: 1, to: 5)
    expect(steps(found)).to eq(1 => :oclock, 2 => :quarter_past, 3 => :half_past, 4 => :quarter_to, 5 => :hour_hand, 6 => nil)
    expect(found.transform_values(&:how).compact).to eq(3 => :pinned, 5 => :moved, 6 => :skipped)
    expect(steps(settled(:move, day: 5, to: 1)).values.first(3)).to eq(%i[quarter_to hour_hand half_past])
    expect(steps(settled(:move, day: 3, to: 1)).values.first(3)).to eq(%i[half_past hour_hand oclock])
  end

  # Whatever is moved, no lesson is lost or doubled.
  it "keeps every lesson there is" do
    free = [1, 2, 4, 5]
    free.product(free).each do |day, to|
      %i[move swap].each { |kind| expect(steps(settled(kind, day:, to:)).values).to match_array(lessons.map { |lesson| lesson.step&.id }) }
    end
  end

  it "skips what is left of a week, from Monday to Sunday" do
    expect(steps(settled(:skip_week, day: 2))).to eq(1 => nil, 2 => nil, 3 => nil, 4 => nil, 5 => nil, 6 => nil)
    sunday = described_class.new([lesson(6, step(:oclock), nil), lesson(7, step(:half_past), nil)]).settled(:skip_week, day: 6)
    expect(sunday.keys).to eq([6])
  end

  it "pins, lets go, exchanges, skips, holds and sets" do
    expect(settled(:pin, day: 2)[2].how).to eq(:pinned)
    expect(settled(:unpin, day: 3)[3].how).to be_nil
    expect(steps(settled(:swap, day: 1, to: 4)).values_at(1, 4)).to eq(%i[quarter_past hour_hand])
    expect(settled(:skip, day: 4)[4]).to have_attributes(step: nil, kind: :skipped, how: :skipped)
    expect(settled(:hold, day: 6).keys).to eq([3])
    expect(steps(settled(:set, day: 2, step: step(:quarters)))).to eq(2 => :quarters, 3 => :half_past, 6 => nil)
  end

  it "refuses in words what cannot be done" do
    { [:move, { day: 9, to: 1 }] => /no lesson to change/, [:move, { day: 1, to: 9 }] => /no lesson on the day/,
      [:move, { day: 1, to: 3 }] => /is pinned/, [:move, { day: 6, to: 1 }] => /Nothing is planned/, [:set, { day: 1 }] => /Choose a step/,
      [:jump, { day: 1 }] => /jump/ }.each do |(kind, more), words|
      expect { settled(kind, **more) }.to raise_error(Vantick::Core::Error, words)
    end
  end
end
