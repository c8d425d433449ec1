# frozen_string_literal: true

# The rules written a second time, as plain formulas, and compared with the chain at all 720 times.
# H is the hour passed, N the hour ahead, m the minute, n the numeral passed, c the count said, k and
# r its fives and ones.
RSpec.describe Vantick::Core::Reading::Misreading do
  around_dial = ->(numeral) { ((numeral - 1) % 12) + 1 }

  swapped = lambda do |shown|
    [shown.hour * 5, (shown.hour * 5) + (shown.minute / 12)].uniq.map { |minute| [around_dial[shown.minute / 5], minute] }
  end

  at = ->(hour, minute) { Vantick::Core::Dial::DialTime.at(hour % 12, minute % 60) }
  # Another time is seen, and read rightly: the same in digits and in words.
  half_up = ->(number, every) { ((number / every.to_f) + 0.5).floor * every }
  as_seen = ->(index) { [Vantick::Core::Dial::DialTime.from_index(index)] }
  other_way = ->(m) { (m.to_s.rjust(2, "0").reverse.to_i if m > 5).then { |turned| turned if turned && turned < 60 && turned != m } }
  seen = {
    quarters_only: [->(t) { t.minute % 15 > 0 }, ->(t) { as_seen[(t.hour * 60) + half_up[t.minute, 15]] }],
    nearest_five: [->(t) { t.minute % 5 > 0 }, ->(t) { as_seen[(t.hour * 60) + half_up[t.minute, 5]] }],
    minutes_left_out: [->(t) { t.minute > 0 }, ->(t) { [at[t.hour, 0], (at[t.hour + 1, 0] if t.minute > 30)].compact }],
    counted_from_hour_hand: [->(t) { t.minute > 0 }, ->(t) { [at[t.hour, t.minute - (t.hour * 5)]] }],
    dial_mirrored: [->(_t) { true }, ->(t) { as_seen[720 - t.index] }]
  }
  said_of = ->(seen_time) { Vantick::Core::Wording::SpokenTime.usual(seen_time).then { |said| [said.count, said.side, said.hour] } }

  digits = {
    hands_swapped: [->(_m) { true }, ->(shown) { swapped[shown] }],
    next_hour_early: [->(m) { m >= 30 }, ->(t) { [[t.hour_ahead, t.minute]] }],
    numeral_as_minutes: [->(m) { (m % 5).zero? }, ->(t) { [[t.hour_passed, around_dial[t.minute / 5]]] }],
    fives_from_one: [->(m) { m.between?(1, 54) }, ->(t) { [[t.hour_passed, t.minute + 5]] }],
    fives_one_short: [->(m) { m >= 5 }, ->(t) { [[t.hour_passed, t.minute - 5]] }],
    counts_wrong_way: [->(m) { m != 0 && m != 30 }, ->(t) { [[t.hour_passed, 60 - t.minute]] }],
    stops_at_five: [->(m) { m % 5 > 0 }, ->(t) { [[t.hour_passed, t.minute - (t.minute % 5)]] }],
    marks_as_fives: [->(m) { m % 5 > 0 && ((m / 5) + (m % 5)) * 5 < 60 },
                     ->(t) { [[t.hour_passed, ((t.minute / 5) + (t.minute % 5)) * 5]] }],
    ticks_one_over: [->(m) { m % 5 > 0 && m < 59 }, ->(t) { [[t.hour_passed, t.minute + 1]] }],
    ticks_one_short: [->(m) { m % 5 > 0 }, ->(t) { [[t.hour_passed, t.minute - 1]] }],
    ticks_wrong_way: [->(m) { m % 5 > 0 && m >= 5 }, ->(t) { [[t.hour_passed, (t.minute / 5 * 5) - (t.minute % 5)]] }],
    zero_misplaced: [->(m) { (1..5).cover?(m) }, ->(t) { [[t.hour_passed, t.minute * 10]] }],
    digits_swapped: [->(m) { other_way[m] }, ->(t) { [[t.hour_passed, other_way[t.minute]]] }],
    quarter_as_25: [->(m) { [15, 45].include?(m) }, ->(t) { [[t.hour_passed, t.minute == 15 ? 25 : 35]] }],
    quarter_as_four: [->(m) { [15, 45].include?(m) }, ->(t) { [[t.hour_passed, t.minute == 15 ? 4 : 56]] }],
    numeral_with_marks: [->(m) { m.between?(6, 29) && m % 5 > 0 }, ->(t) { [[t.hour_passed, (t.minute / 5 * 10) + (t.minute % 5)]] }],
    numeral_and_marks_added: [->(m) { m > 5 && m % 5 > 0 }, ->(t) { [[t.hour_passed, (t.minute / 5) + (t.minute % 5)]] }],
    next_hour_always: [->(m) { m > 0 }, ->(t) { [[t.hour_ahead, t.minute]] }],
    hour_from_minute_hand: [->(_m) { true }, ->(t) { [[around_dial[t.minute / 5], t.minute]] }]
  }
  after_twelve = ->(t) { t.hour.zero? && t.minute > 0 }

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
        Vantick::Core::Wording::SpokenTime.usual(Vantick::Core::Dial::DialTime.at(hour, minute)).then do |said|
          [said.count, said.side, said.hour]
        end
      end
    }],
    next_hour_early: [->(t) { t.minute == 30 }, ->(t) { [[30, :past, t.hour_ahead]] }],
    numeral_as_minutes: [->(t) { (t.minute % 5).zero? }, numeral_said],
    fives_from_one: [->(t) { count[t].positive? && count[t] + 5 <= 30 }, ->(t) { same[t, count[t] + 5] }],
    fives_one_short: [->(t) { count[t] >= 5 }, ->(t) { same[t, count[t] - 5] }],
    counts_wrong_way: [->(t) { t.minute.between?(1, 29) }, ->(t) { [[60 - t.minute, :past, t.hour_passed]] }],
    stops_at_five: [->(t) { t.minute % 5 > 0 }, ->(t) { same[t, count[t] / 5 * 5] }],
    marks_as_fives: [->(t) { t.minute % 5 > 0 && ((count[t] / 5) + (count[t] % 5)) * 5 <= 30 },
                     ->(t) { same[t, ((count[t] / 5) + (count[t] % 5)) * 5] }],
    ticks_one_over: [->(t) { t.minute % 5 > 0 }, ->(t) { same[t, count[t] + 1] }],
    ticks_one_short: [->(t) { t.minute % 5 > 0 }, ->(t) { same[t, count[t] - 1] }],
    ticks_wrong_way: [->(t) { t.minute % 5 > 0 && count[t] >= 5 }, ->(t) { same[t, (count[t] / 5 * 5) - (count[t] % 5)] }],
    to_with_passed_hour: [->(t) { t.minute > 30 }, ->(t) { [[60 - t.minute, :to, t.hour_passed]] }],
    past_count_with_to: [->(t) { t.minute > 30 }, ->(t) { [[t.minute, :to, t.hour_ahead]] }],
    sides_swapped: [->(t) { ![0, 30].include?(t.minute) }, turned],
    next_hour_always: [->(t) { t.minute.between?(1, 30) }, ->(t) { [[t.minute, :past, t.hour_ahead]] }],
    smaller_of_two: [->(t) { after_twelve[t] && t.minute <= 30 }, ->(t) { [[t.minute, :past, 1]] }],
    hour_from_minute_hand: [->(_t) { true }, ->(t) { [[count[t], t.minute > 30 ? :to : :past, around_dial[t.minute / 5]]] }],
    numeral_with_marks: [->(t) { t.minute.between?(6, 29) && t.minute % 5 > 0 },
                         ->(t) { [[(t.minute / 5 * 10) + (t.minute % 5), :past, t.hour_passed]] }],
    numeral_and_marks_added: [->(t) { t.minute.between?(6, 29) && t.minute % 5 > 0 },
                              ->(t) { [[(t.minute / 5) + (t.minute % 5), :past, t.hour_passed]] }],
    marks_added_to: [->(t) { t.minute > 35 && t.minute % 5 > 0 },
                     ->(t) { [[60 - (t.minute / 5 * 5) + (t.minute % 5), :to, t.hour_ahead]] }],
    **seen.transform_values { |where, times| [where, ->(t) { times[t].map(&said_of) }] }
  }

  # hour:minute as written, where it is a time of the clock.
  heard = {
    to_hour_kept: [->(t) { t.minute > 30 }, ->(t) { [[t.hour_ahead, t.minute]] }],
    to_taken_as_past: [->(t) { t.minute > 30 }, ->(t) { [[t.hour_ahead, 60 - t.minute]] }],
    to_count_written: [->(t) { t.minute > 30 }, ->(t) { [[t.hour_passed, 60 - t.minute]] }],
    quarter_as_25: [->(t) { [15, 45].include?(t.minute) }, lambda { |t|
      (t.minute == 45 ? [35, 25] : [25]).map do |minute|
        [t.hour_passed, minute]
      end
    }],
    quarter_as_four: [->(t) { [15, 45].include?(t.minute) },
                      ->(t) { (t.minute == 45 ? [4, 56] : [4]).map { |minute| [t.hour_passed, minute] } }],
    teen_for_ten: [->(t) { [13, 14].include?(t.minute) }, ->(t) { [[t.hour_passed, t.minute == 13 ? 30 : 40]] }],
    zero_misplaced: [->(t) { t.minute.between?(1, 5) }, ->(t) { [[t.hour_passed, t.minute * 10]] }],
    digits_swapped: [->(t) { other_way[t.minute] }, ->(t) { [[t.hour_passed, other_way[t.minute]]] }],
    half_as_fifty: [->(t) { t.minute == 30 }, ->(t) { [[t.hour_passed, 50]] }],
    half_before: [->(t) { t.minute == 30 }, ->(t) { [[around_dial[t.hour_passed - 1], 30]] }],
    sixty_without_borrowing: [->(t) { t.minute.between?(31, 50) && t.minute % 10 > 0 }, lambda { |t|
      tens, ones = count[t].divmod(10)
      [[t.hour_passed, ((6 - tens) * 10) + ones]]
    }],
    spoken_order: [->(t) { count[t].between?(1, 23) }, ->(t) { [[count[t], t.minute > 30 ? t.hour_ahead : t.hour_passed]] }]
  }
  # Degrees of the hour hand and of the minute hand; left out where they are right.
  off = ->(t, numeral) { (((t.hour_hand_degrees - (numeral * 30) + 180) % 360) - 180).abs >= 7.5 }
  set = {
    hands_swapped: [->(_t) { true }, ->(t) { [[t.minute * 6.0, (t.hour * 30) + (t.minute / 2.0)]] }],
    hour_hand_left_behind: [->(t) { off[t, t.hour] }, ->(t) { [[t.hour * 30, t.minute * 6]] }],
    hour_hand_on_next: [->(t) { off[t, t.hour + 1] }, ->(t) { [[(t.hour + 1) * 30, t.minute * 6]] }],
    numeral_for_minutes: [->(t) { count[t].between?(1, 12) }, ->(t) { [[t.hour_hand_degrees, count[t] * 30]] }],
    minutes_mirrored: [->(_t) { true }, ->(t) { [[t.hour_hand_degrees, 360 - (t.minute * 6)]] }],
    dial_mirrored: [->(_t) { true }, ->(t) { [[360 - t.hour_hand_degrees, 360 - (t.minute * 6)]] }]
  }
  set_from_digits = {
    zero_misplaced: [->(t) { t.minute.between?(1, 5) }, ->(t) { [[(t.hour * 30) + (t.minute * 5), t.minute * 60]] }],
    **set
  }
  set_from_words = {
    to_hour_kept: [->(t) { t.minute > 30 }, ->(t) { [[t.hour_hand_degrees + 30, t.minute * 6]] }],
    to_taken_as_past: [->(t) { t.minute > 30 }, ->(t) { [[((t.hour + 1) * 30) + ((60 - t.minute) / 2.0), (60 - t.minute) * 6]] }],
    half_before: [->(t) { t.minute == 30 }, ->(t) { [[t.hour_hand_degrees - 30, 180]] }],
    **set
  }
  said = {
    **words.slice(:to_with_passed_hour, :past_count_with_to, :sides_swapped),
    zero_misplaced: [->(t) { t.minute.between?(1, 5) }, lambda { |t|
      [[t.minute * 10, :past, t.hour_passed], said_of[at[t.hour, t.minute * 10]]].uniq
    }],
    half_before: [->(t) { t.minute == 30 }, ->(t) { [[30, :past, t.hour_ahead]] }],
    sixty_without_borrowing: [->(t) { t.minute > 30 && t.minute % 10 > 0 }, lambda { |t|
      tens, ones = t.minute.divmod(10)
      [[((6 - tens) * 10) + ones, :to, t.hour_ahead]]
    }]
  }

  # The long hand alone says count and side as words do, with no hour; the short hand alone says the hour.
  of_both_hands = [:hands_swapped, :next_hour_early, :next_hour_always, :to_with_passed_hour, :smaller_of_two, :hour_from_minute_hand,
                   *seen.keys]
  alone = words.except(*of_both_hands).transform_values do |where, answers|
    [where, ->(t) { answers[t].map { |parts| parts.first(2) } }]
  end
  alone[:nearest_five] = [->(t) { t.minute % 5 > 0 }, ->(t) { [[half_up[count[t], 5], t.minute > 30 ? :to : :past]] }]
  ahead = ->(t) { [t.hour_ahead] }
  hours = { next_hour_early: [->(t) { t.minute >= 30 }, ahead], next_hour_always: [->(t) { t.minute > 0 }, ahead],
            smaller_of_two: [after_twelve, ahead] }
  # Minutes from the numeral in the place of the hour, or from the top, to the numeral under the long hand.
  way = ->(t) { ((t.minute / 5) - t.hour) % 12 * 5 }
  lengths = {
    numeral_as_minutes: [->(_t) { true }, ->(t) { t.hour.zero? ? [around_dial[t.minute / 5]] : [around_dial[t.minute / 5], way[t] / 5] }],
    fives_from_one: [->(_t) { true }, ->(t) { [way[t] + 5] }],
    fives_one_short: [->(t) { way[t].positive? }, ->(t) { [way[t] - 5] }],
    start_left_out: [->(t) { !t.hour.zero? }, ->(t) { [t.minute] }],
    counts_wrong_way: [->(t) { ![0, 30].include?(way[t]) }, ->(t) { [60 - way[t]] }]
  }
  half = ->(t) { { 0 => :midnight, 720 => :noon }.fetch(t.index) { t.index < 720 ? :am : :pm } }
  day = {
    day_halves_swapped: [->(_t) { true }, ->(t) { [{ midnight: :noon, noon: :midnight, am: :pm, pm: :am }.fetch(half[t])] }],
    twelve_with_eleven: [->(t) { [0, 12].include?(t.index / 60) }, ->(t) { [t.index < 60 ? :pm : :am] }],
    dark_is_pm: [->(t) { (1..359).cover?(t.index) }, ->(_t) { [:pm] }]
  }

  itself = ->(answer) { answer }
  counted = ->(parts) { Vantick::Core::Wording::Counted.new(*parts) }
  written = ->(parts) { Vantick::Core::Dial::DialTime.at(*parts) }
  spoken = ->(parts) { Vantick::Core::Wording::SpokenTime.new(*parts) }
  placed = ->(parts) { Vantick::Core::Dial::Hands.new(*parts) }
  digits = digits.transform_values { |where, to| [->(t) { where[t.minute] }, to] }
  estimates = digits.slice(:hands_swapped, :next_hour_early)
  digits[:smaller_of_two] = [after_twelve, ->(t) { [[1, t.minute]] }]
  digits.merge!(seen.transform_values { |where, times| [where, ->(t) { times[t].map { |one| [one.hour_passed, one.minute] } }] })
  tables = { digital_to_dial: [set_from_digits, placed], words_to_dial: [set_from_words, placed], dial_to_digital: [digits, written],
             match: [digits, written], estimate: [estimates, written],
             words_to_digital: [heard, written],
             dial_to_words: [words, spoken], spot_mistake: [words, spoken], digital_to_words: [said, spoken], hour_only: [hours, itself],
             minute_only: [alone, counted], numeral_to_minutes: [lengths, itself], day_half: [day, itself] }

  [[:to_with_passed_hour, "7:45", nil, "quarter to seven"], [:hands_swapped, "3:45", :dial_to_digital, "9:15"],
   [:marks_added_to, "5:52", nil, "twelve minutes to six"], [:to_with_passed_hour, "7:15", nil, nil],
   [:hour_hand_left_behind, "7:45", nil, nil]].each do |id, time, task, answer|
    it "has an example of #{id} at #{time}: #{answer.inspect}" do
      tasks = [*(Vantick::Core::Tasks::Task.find(task) if task), Vantick::Core::Tasks::Task.find(:dial_to_words)]
      expect(described_class.find(id).example(Vantick::Core::Dial::DialTime.parse(time), tasks:)).to eq(answer)
    end
  end

  it "has formulas here for every task" do
    expect(tables.keys).to match_array(Vantick::Core::Tasks::Task.all.map(&:id))
  end

  tables.each do |task_id, (rules, answer)|
    rules.each do |id, (where, answers)|
      it "#{id} in #{task_id} is as its formula, at all its times" do
        task(task_id).times.each do |shown|
          wanted = where[shown] ? answers[shown].map(&answer) : [task(task_id).right_answer(shown)]
          expect(misreading(id).predicted(shown, task(task_id))).to match_array(wanted.uniq), "#{id} at #{shown}"
        end
      end
    end

    it "has formulas here for every misreading of #{task_id}" do
      expect(described_class.for(task(task_id)).map(&:id)).to match_array(rules.keys)
    end
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
