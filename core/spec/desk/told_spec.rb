# frozen_string_literal: true

# What a child is told of an answer, shown after a second try, and told at the end.
RSpec.describe Vantick::Core::Desk::Feedback do
  core = Vantick::Core
  # Tasks whose answers are too few for a sentence that names none.
  short = %i[hour day_half]
  tasks = core::Tasks::Task.all.reject { |task| task.notation == :mistake }

  def marked(task, time, text, **more) = Vantick::Core::Marking::Marker.mark(task:, time:, text:, **more)

  tasks.each do |task|
    it "says one short sentence of every answer to #{task.name.downcase} that a misreading leads to, and never the answer" do
      task.times.each_slice(7).map(&:first).each do |at|
        core::Reading::Misreading.for(task).flat_map { |misreading| misreading.wrong_answers(at, task) }.each do |wrong|
          found = marked(task, at, task.write(wrong))
          next if found.right?

          sentence = described_class.of(found)
          expect(sentence).to match(/\A"?[A-Z].+[.?]\z/)
          expect(sentence.length).to be <= 110
          expect(sentence).not_to include(described_class.answer(task, at)) unless short.include?(task.notation)
        end
      end
    end

    it "says yes to a right answer to #{task.name.downcase}, and shows steps that end in it, at all its times" do
      task.times.each do |at|
        answer = described_class.answer(task, at)
        expect(described_class.of(marked(task, at, task.write(task.right_answer(at))))).to eq("Yes: #{answer}.".sub("..", "."))
        steps = core::Desk::Help.steps(task, at)
        on_dial = at.is_a?(core::Dial::DayTime) ? at.dial_time : at
        form = task.notation == :digits ? answer : core::Wording::Phrase.usual(on_dial)
        expect(steps.last.sentence).to include(answer).or include(form)
        expect(steps.last.sentence).to include(answer) if task.notation == :digits
        expect(steps.length).to be_between(1, 6)
      end
    end
  end

  {
    [:dial_to_words, "7:45", "quarter to seven"] => 'The minutes are right. After "to", say the next hour.',
    [:dial_to_words, "6:45", "ten to seven"] => "The hour is right. The first hop, from 12 to 1, is already five.",
    [:dial_to_words, "5:52", "12 minutes to six"] => "The hour is right. Each mark on makes it one minute less to the hour.",
    [:dial_to_words, "5:52", "eight minutes to one"] => "The minutes are right. Now look at the hour again.",
    [:dial_to_digital, "6:45", "7:45"] => "The minutes are right. Which number has the short hand passed? Say that hour.",
    [:dial_to_digital, "6:45", "6:40"] => "The hour is right. The first hop, from 12 to 1, is already five.",
    [:dial_to_words, "3:45", "quarter past nine"] => "Start with the short hand. It shows the hour.",
    [:dial_to_words, "7:45", "forty-five past seven"] => "That's right. In class we say: quarter to eight.",
    [:dial_to_digital, "3:05", "3:5"] => "That's right. We write it like this: 3:05.",
    [:dial_to_digital, "3:05", "9:41"] => "Look again. Short hand: the hour. Long hand: the minutes.",
    [:dial_to_words, "3:05", "past past"] => "That isn't a whole time yet. Say it aloud, then choose the words.",
    [:digital_to_dial, "4:45", "hour=121 minute=270"] => "The short hand moves on too, bit by bit.",
    [:digital_to_dial, "4:45", "hour=131 minute=270"] =>
      "The long hand is right. The short hand is not far enough yet. Move it a little on.",
    [:estimate, "7:45", "7:47"] => "Close! It is 7:45."
  }.each do |(id, at, text), sentence|
    it("says of #{text} for #{at}: #{sentence}") { expect(described_class.of(marked(task(id), time(at), text))).to eq(sentence) }
  end

  it "speaks in the class's own words" do
    conventions = core::Wording::Conventions.parse("after,of,point")
    { dial_to_words: "quarter of eight", dial_to_digital: "7.45" }.each do |id, text|
      expect(described_class.of(marked(task(id), time("7:45"), text, conventions:), conventions)).to eq("Yes: #{text}.")
    end
  end

  it "asks for what somebody else did wrong, once the time is right" do
    found = marked(task(:spot_mistake), time("7:45"), "hands_swapped; quarter to eight", said: "quarter to seven")
    expect(described_class.of(found)).to eq("The time is right. Now, what went wrong?")
    shown = core::Desk::Help.steps(task(:spot_mistake), time("7:45"), mistake: core::Reading::Misreading.find(:to_with_passed_hour))
    expect(shown.last.sentence).to eq("They said the hour that is over.")
  end

  it "hops from numeral to numeral by fives, and tells the halves of the day by noon" do
    hops = core::Desk::Help.steps(task(:numeral_to_minutes), time("3:30"))
    expect(hops.first.sentence).to eq("Start at the 3 and hop to the 6: 5, 10, 15.")
    expect(hops.first.lights.first[:counts]).to eq([[20, 5], [25, 10], [30, 15]])
    half = ->(text) { core::Desk::Help.steps(task(:day_half), core::Dial::DayTime.parse(text)).map(&:sentence) }
    expect(half["07:50"]).to eq(["This 7:50 is before noon.", "It is a.m."])
    expect(half["00:00"]).to eq(["It is midnight."])
    expect(half["14:15"].first).to eq("This 2:15 is after noon.")
    stays = core::Desk::Help.steps(task(:numeral_to_minutes), time("12:00")).map(&:sentence)
    expect(stays).to eq(["The hand is on the 12 and stays there.", "It is 0 minutes."])
  end

  it "speaks of a dial only where one is shown" do
    of_a_dial = /\bhand\b|dial|(?<!')clock|(left|right) half|mark|\b12\b/
    core::Tasks::Task.all.reject(&:dial?).each do |task|
      told = core::Reading::Misreading.for(task).map { |misreading| misreading.child(task) }
      told << described_class.of(marked(task, time("7:45"), task.notation == :digits ? "3:21" : "twelve past three"))
      expect(told.grep(of_a_dial)).to eq([])
    end
  end

  it "calls what somebody else did by a sentence of a child's own, none twice, and none of it a teacher's" do
    they = core::Reading::Misreading.all.map { |misreading| misreading.texts[:they] }
    expect(they.uniq).to eq(they)
    expect(they).to all(match(/\AThey .{8,60}\.\z/))
    expect((they + core::Reading::Misreading.all.map do |misreading|
      misreading.texts[:child]
    end).grep(/numeral|hour hand|minute hand|tick|anticlockwise/)).to eq([])
  end
end

RSpec.describe Vantick::Core::Desk::Round do
  def marks(*pairs) = pairs.map { |at, text| mark(:dial_to_words, at, text) }

  it "ends after ten tasks or five minutes, whichever is first" do
    table = { [0, 0] => false, [9, 299] => false, [10, 5] => true, [1, 300] => true, [12, 400] => true }
    table.each { |(done, seconds), over| expect(described_class.over?(done:, seconds:)).to be(over), "#{done} #{seconds}" }
  end

  it "names what went well, the hardest of them, and one thing to watch for" do
    read = [["3:00", "3 o'clock"], ["4:30", "half past four"], ["7:45", "quarter to seven"], ["8:45", "quarter to eight"]]
    said = described_class.end_of(marks(*read))
    expect(said.well).to eq("You can read these: three o'clock, half past four.")
    expect(said.watch).to eq('Remember: After "to", say the next hour.')
  end

  it "has nothing to watch for where all was right, and says no more than there was" do
    all = described_class.end_of(marks(["3:00", "3 o'clock"], ["4:00", "4 o'clock"], ["5:00", "5 o'clock"]))
    expect([all.well, all.watch]).to eq(["You got every one right the first time!", nil])
    expect(described_class.end_of(marks(["3:00", "7 to 9"])).well).to eq("Well tried.")
    two = described_class.end_of(marks(["3:00", "3 o'clock"], ["4:00", "4 o'clock"]))
    expect(two.well).to eq("You can read these: three o'clock, four o'clock.")
    nothing = described_class.end_of([])
    expect([nothing.well, nothing.watch]).to eq(["You can try again another time.", nil])
  end

  it "praises no more than there was: answers that unreadable are not read, and only dials are named as read" do
    mixed = marks(["3:00", "3 o'clock"], *(1..9).map { |hour| ["#{hour}:30", "dunno"] })
    expect(described_class.end_of(mixed).well).to eq("You can read these: three o'clock.")
    parts = [mark(:words_to_digital, "5:15", "5:15"), mark(:words_to_digital, "7:45", "6:45")]
    expect(described_class.end_of(parts).well).to eq("You got some right the first time.")
  end
end

RSpec.describe Vantick::Core::Desk::Stuck do
  it "is two tasks wrong in a row, or a minute without anything" do
    { [[], 0] => nil, [[false], 0] => nil, [[true, false, false], 0] => :running, [[false, false, true], 59] => nil,
      [[false, false, true], 60] => :quiet, [[], 61] => :quiet, [[false, false], 90] => :running }.each do |(answers, seconds), why|
      expect(described_class.why(answers, seconds:)).to eq(why), "#{answers} #{seconds}"
    end
  end
end

RSpec.describe Vantick::Core::Desk::Readable do
  it "is the dials whose last reading was right, the hardest first" do
    read = { "3:00" => ["three o'clock"], "7:45" => ["quarter to seven", "quarter to eight"],
             "4:30" => ["half past four", "half past five"], "6:15" => [""] }
    answers = read.flat_map { |at, texts| texts.map { |text| mark(:dial_to_words, at, text) } } + [mark(:words_to_digital, "5:15", "5:15")]
    expect(described_class.of(answers).map(&:to_s)).to eq(%w[7:45 3:00])
  end
end
