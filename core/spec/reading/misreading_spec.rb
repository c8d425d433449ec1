# frozen_string_literal: true

# The rules written a second time, as plain formulas, and compared with the chain at all 720 times.
# H is the hour passed, N the hour ahead, m the minute, n the numeral passed, c the count said, k and
# r its fives and ones.
RSpec.describe Vantick::Core::Misreading do
  around_dial = ->(numeral) { ((numeral - 1) % 12) + 1 }

  swapped = lambda do |shown|
    [shown.hour * 5, (shown.hour * 5) + (shown.minute / 12)].uniq.map { |minute| [around_dial[shown.minute / 5], minute] }
  end

  digits = {
    hands_swapped: [->(_m) { true }, ->(shown) { swapped[shown] }],
    next_hour_early: [->(m) { m >= 30 }, ->(t) { [[t.hour_ahead, t.minute]] }],
    numeral_as_minutes: [->(m) { (m % 5).zero? }, ->(t) { [[t.hour_passed, around_dial[t.minute / 5]]] }],
    fives_from_one: [->(m) { m <= 54 }, ->(t) { [[t.hour_passed, t.minute + 5]] }],
    fives_one_short: [->(m) { m >= 5 }, ->(t) { [[t.hour_passed, t.minute - 5]] }],
    counts_wrong_way: [->(m) { m != 0 && m != 30 }, ->(t) { [[t.hour_passed, 60 - t.minute]] }],
    stops_at_five: [->(m) { m % 5 > 0 }, ->(t) { [[t.hour_passed, t.minute - (t.minute % 5)]] }],
    ticks_one_over: [->(m) { m % 5 > 0 && m < 59 }, ->(t) { [[t.hour_passed, t.minute + 1]] }],
    ticks_one_short: [->(m) { m % 5 > 0 }, ->(t) { [[t.hour_passed, t.minute - 1]] }],
    ticks_wrong_way: [->(m) { m % 5 > 0 && m >= 5 }, ->(t) { [[t.hour_passed, (t.minute / 5 * 5) - (t.minute % 5)]] }],
    zero_misplaced: [->(m) { (1..5).cover?(m) }, ->(t) { [[t.hour_passed, t.minute * 10]] }]
  }

  # [count, side, hour]; a count of 0 is o'clock.
  same = ->(shown, count) { [[count, shown.side == :to ? :to : :past, shown.side == :to ? shown.hour_ahead : shown.hour_passed]] }
  count = ->(shown) { shown.minute <= 30 ? shown.minute : 60 - shown.minute }
  numeral_said = lambda do |shown|
    numeral = around_dial[shown.minute / 5]
    next [[numeral, :past, shown.hour_passed]] if shown.minute <= 30

    [[12 - numeral, :to, shown.hour_ahead], [numeral, :to, shown.hour_ahead], [numeral, :past, shown.hour_passed]]
  end
  turned = lambda do |shown|
    next [shown.hour_ahead, shown.hour_passed].map { |hour| [60 - shown.minute, :past, hour] } if shown.minute > 30

    [shown.hour_passed, shown.hour_ahead].map { |hour| [shown.minute, :to, hour] }
  end

  words = {
    hands_swapped: [->(_t) { true }, lambda { |shown|
      swapped[shown].map do |hour, minute|
        Vantick::Core::Saying.usual(Vantick::Core::DialTime.at(hour, minute)).then do |said|
          [said.count, said.side, said.hour]
        end
      end
    }],
    next_hour_early: [->(t) { t.minute == 30 }, ->(t) { [[30, :past, t.hour_ahead]] }],
    numeral_as_minutes: [->(t) { (t.minute % 5).zero? }, numeral_said],
    fives_from_one: [->(t) { count[t] + 5 <= 30 }, ->(t) { same[t, count[t] + 5] }],
    fives_one_short: [->(t) { count[t] >= 5 }, ->(t) { same[t, count[t] - 5] }],
    counts_wrong_way: [->(t) { t.minute.between?(1, 29) }, ->(t) { [[60 - t.minute, :past, t.hour_passed]] }],
    stops_at_five: [->(t) { t.minute % 5 > 0 }, ->(t) { same[t, count[t] / 5 * 5] }],
    ticks_one_over: [->(t) { t.minute % 5 > 0 }, ->(t) { same[t, count[t] + 1] }],
    ticks_one_short: [->(t) { t.minute % 5 > 0 }, ->(t) { same[t, count[t] - 1] }],
    ticks_wrong_way: [->(t) { t.minute % 5 > 0 && count[t] >= 5 }, ->(t) { same[t, (count[t] / 5 * 5) - (count[t] % 5)] }],
    to_with_passed_hour: [->(t) { t.minute > 30 }, ->(t) { [[60 - t.minute, :to, t.hour_passed]] }],
    past_count_with_to: [->(t) { t.minute > 30 }, ->(t) { [[t.minute, :to, t.hour_ahead]] }],
    sides_swapped: [->(t) { t.minute != 0 }, turned]
  }

  digits.each do |id, (at, answers)|
    it "#{id} in digits is as its formula, at all 720 times" do
      all_times.each do |shown|
        wanted = at[shown.minute] ? answers[shown].map { |hour, minute| Vantick::Core::DialTime.at(hour, minute) } : [shown]
        expect(misreading(id).predicted(shown, task(:dial_to_digital))).to match_array(wanted), "#{id} at #{shown}"
      end
    end
  end

  words.each do |id, (at, answers)|
    it "#{id} in words is as its formula, at all 720 times" do
      all_times.each do |shown|
        wanted = at[shown] ? answers[shown].map { |parts| Vantick::Core::Saying.new(*parts) } : [Vantick::Core::Saying.usual(shown)]
        expect(misreading(id).predicted(shown, task(:dial_to_words))).to match_array(wanted.uniq), "#{id} at #{shown}"
      end
    end
  end

  it "has formulas here for every misreading of both tasks" do
    expect(described_class.for(task(:dial_to_digital)).map(&:id)).to match_array(digits.keys)
    expect(described_class.for(task(:dial_to_words)).map(&:id)).to match_array(words.keys)
  end

  it "tells nothing where it leads to the right answer" do
    expect(misreading(:hands_swapped).chance?(time("12:00"), task(:dial_to_words))).to be(false)
    expect(misreading(:hands_swapped).wrong_answers(time("6:32"), task(:dial_to_digital))).to eq([time("6:30")])
    all_times.each do |shown|
      described_class.all.each do |one|
        expect(one.wrong_answers(shown, task(:dial_to_words)).map(&:time)).not_to include(shown)
      end
    end
  end

  # Common practice, no source: "quarter to seven" is said for 7:45 by children who name the hour that
  # has passed; 5:55 is read 6:55.
  it "predicts what teachers hear" do
    expect(misreading(:to_with_passed_hour).predicted(time("7:45"), task(:dial_to_words)).map(&:to_s)).to eq(["quarter to seven"])
    expect(misreading(:next_hour_early).predicted(time("5:55"), task(:dial_to_digital)).map(&:to_s)).to eq(["6:55"])
  end

  it "names those it knows when asked for one it does not" do
    expect do
      described_class.find("lazy")
    end.to raise_error(Vantick::Core::UnknownName, /"lazy" is not a misreading: use one of hands_swapped/)
  end
end
