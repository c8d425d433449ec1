# frozen_string_literal: true

# What a head is told. That small groups are not told of is common practice, no source.
RSpec.describe Vantick::Core::Term::SchoolReport do
  let(:fives) { [task(:dial_to_words), task(:dial_to_digital)] }
  let(:report) { described_class.new({ curlew: klass, small: progress({ 1 => right(%i[oclock]) }) }, today: 30) }
  let(:klass) do
    knows = right(%i[oclock half_past])
    progress((1..12).to_h { |child| [child, child <= 8 ? knows : right(%i[oclock], days: [10]).first(1)] })
  end
  let(:standard) { "CCSS 1.MD.B.3" }

  def count(met, of) = described_class.count(met, of)

  def told(met, of) = described_class.count(met, of).to_h.values

  it "tells a number only where at least five are in the group and in the rest of it" do
    table = { [0, 4] => [:too_few, nil, nil], [4, 4] => [:too_few, nil, nil], [0, 5] => [:none, nil, 5], [5, 5] => [:all, nil, 5],
              [4, 26] => [:few, nil, 26], [5, 26] => [:some, 5, 26], [21, 26] => [:some, 21, 26], [22, 26] => [:nearly_all, nil, 26],
              [26, 26] => [:all, nil, 26], [4, 8] => [:few, nil, 8], [5, 8] => [:nearly_all, nil, 8] }
    table.each { |(met, of), words| expect(told(met, of)).to eq(words), "#{met} of #{of}" }
    (0..40).to_a.product((0..40).to_a).select { |met, of| met <= of }.each do |met, of|
      word, number, = told(met, of)
      expect(number).to eq(met) if word == :some
      expect([met, of - met].min).to be >= 5 if word == :some
    end
  end

  it "looks at the last ends of terms and at today, by country" do
    today = Date.new(2026, 12, 1).jd
    days = ->(country) { described_class.days(country, today).map { |day| Date.jd(day).iso8601 } }
    expect(days["gb"]).to eq(%w[2025-12-31 2026-03-31 2026-07-31 2026-12-01])
    expect(days["au"]).to eq(%w[2026-03-31 2026-06-30 2026-09-30 2026-12-01])
    expect(described_class.days("gb", Date.new(2026, 12, 31).jd).last(2).map do |day|
      Date.jd(day).iso8601
    end).to eq(%w[2026-07-31 2026-12-31])
  end

  # Answers of one child, all right, to every time of the steps, on three days.
  def right(steps, days: [10, 12, 14])
    steps.flat_map { |one| step(one).pool.each_slice([step(one).pool.length / 8, 1].max).map { |times| [step(one), times.first] } }
         .product(days, fives).map { |(at, time), day, with| asked(at, with, time, day) }.sort_by(&:day)
  end

  def asked(at, with, time, day)
    marked = Vantick::Core::Marking::Marker.mark(task: with, time:, text: with.right_answer(time).to_s)
    Vantick::Core::Curriculum::ItemResponse.new(step: at, marked:, day:)
  end

  def progress(by_child) = Vantick::Core::Teaching::ClassProgress.new(by_child, today: 30)

  it "counts the children of each class who have all of a standard's steps, from the day on which anybody answered" do
    counts = report.classes(standard, [5, 30])
    met = klass.by_child.values.count { |child| (Vantick::Core::Term::Aim.new(standard).ladder - child.secure_on(30)).empty? }
    expect([met, counts]).to eq([8, { curlew: [nil, count(8, 12)], small: [nil, count(0, 1)] }])
  end

  it "tells the school's total to the nearest five, so that no class is worked out from it" do
    total = report.total(standard, [5, 30])
    expect(total.first).to be_nil
    expect(total.last).to eq(count(10, 15))
  end

  it "rounds numbers and never words: none is nobody, and all is everybody" do
    known = { true => right(%i[oclock half_past]), false => right(%i[oclock], days: [10]).first(1) }
    told = [0, 1, 2, 6, 10, 11, 12].to_h do |met|
      school = { curlew: progress((1..12).to_h { |child| [child, known[child <= met]] }) }
      [met, described_class.new(school, today: 30).total(standard, [30]).first.to_h.values]
    end
    expect(told).to eq(0 => [:none, nil, 10], 1 => [:few, nil, 10], 2 => [:few, nil, 10], 6 => [:some, 5, 10],
                       10 => [:nearly_all, nil, 10], 11 => [:nearly_all, nil, 10], 12 => [:all, nil, 10])
  end

  it "finds who is far below what most of the class have shown, and nobody who was never asked" do
    expect(klass.far_below).to eq([9, 10, 11, 12])
    expect(klass.far_below.map { |child| klass.behind(child).length }).to all(be >= 2)
    silent = progress({ **(1..4).to_h { |child| [child, right(%i[oclock half_past])] }, 5 => [] })
    expect(silent.far_below).to eq([])
    expect(progress({ 1 => [], 2 => [] }).far_below).to eq([])
  end

  # No two pages say different things: who is far below has something next that is not above what the class has reached.
  it "calls nobody far below whose next step most of the class haven't shown" do
    klass.far_below.each { |child| expect(klass.reached).to include(klass.next_for(child)) }
  end

  it "holds the numbers that decide" do
    expect(described_class::TABLE.except(:terms)).to eq(least: 5, rounded_to: 5, reached: 0.66, steps_below: 2, weeks: 6, points: 3)
  end
end
