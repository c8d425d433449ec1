# frozen_string_literal: true

RSpec.describe Vantick::Core::Marking::Marker do
  def judged(task_id, shown, text) = mark(task_id, shown, text).then { |marked| [marked.verdict, *marked.causes] }

  it "finds every way of saying every time right, in every task that is written" do
    written = Vantick::Core::Tasks::Task.all.select(&:whole_time?)
    all_times.product(written) do |shown, task|
      # What is asked in words is not answered in words, and digits not in digits.
      ways = (task.sees == :words ? [] : Vantick::Core::Wording::Phrase.all(shown)) + (task.sees == :digits ? [] : [shown.digital])
      verdicts = ways.map { |way| described_class.mark(task:, time: shown, text: way).verdict }
      expect(verdicts - %i[right right_other_words]).to be_empty, "#{task.id} #{shown}"
    end
  end

  def expect_misread(task, misreading, shown)
    misreading.wrong_answers(shown, task).each do |answer|
      marked = described_class.mark(task:, time: shown, text: task.write(answer))
      expect([marked.verdict, marked.misreadings]).to match([:misread, include(misreading.id)]), "#{answer} at #{shown}"
    end
  end

  # Each misreading's own answers, written down, are found to be its own: every seventh time, each task.
  (Vantick::Core::Tasks::Task.all - [Vantick::Core::Tasks::Task.find(:spot_mistake)]).each do |task|
    it "finds every predicted wrong answer of #{task.id} misread, by the misreading that predicts it" do
      task.times.each_slice(7).map(&:first).product(Vantick::Core::Reading::Misreading.for(task)) do |shown, misreading|
        expect_misread(task, misreading, shown)
      end
    end

    it "finds the right answer of #{task.id} right" do
      task.times.each_slice(7).map(&:first).each do |shown|
        text = task.write(task.right_answer(shown))
        expect(described_class.mark(task:, time: shown, text:).verdict).to eq(:right), "#{text} at #{shown}"
      end
    end
  end

  {
    ["dial_to_words", "7:45", "quarter to eight"] => [:right],
    ["dial_to_words", "7:45", "15 to 8"] => [:right],
    ["dial_to_words", "7:45", "qt8"] => [:right],
    ["dial_to_words", "7:45", "quater to 8"] => [:right_writing_slip],
    ["dial_to_words", "7:45", "quarter 8"] => [:right_writing_slip],
    ["dial_to_words", "7:45", "45 past 7"] => [:right_other_words],
    ["dial_to_words", "7:45", "7:45"] => [:right_other_words],
    ["dial_to_words", "12:00", "noon"] => [:right_other_words],
    ["dial_to_words", "7:45", "quarter to seven"] => %i[misread to_with_passed_hour],
    ["dial_to_words", "7:45", "quater to seven"] => %i[misread to_with_passed_hour],
    ["dial_to_words", "7:35", "thirty-five to eight"] => %i[misread past_count_with_to],
    ["dial_to_words", "3:30", "half past four"] => %i[misread next_hour_early],
    ["dial_to_words", "7:45", "ten past two"] => [:unexplained],
    ["dial_to_words", "7:45", "dunno"] => [:unreadable],
    ["dial_to_words", "7:45", " "] => [:blank],
    ["dial_to_digital", "3:05", "3:05"] => [:right],
    ["dial_to_digital", "3:05", "03:05"] => [:right],
    ["dial_to_digital", "3:05", "3:5"] => [:right_writing_slip],
    ["dial_to_digital", "3:05", "3.05"] => [:right_writing_slip],
    ["dial_to_digital", "3:05", "15:05"] => [:right_other_words],
    ["dial_to_digital", "3:05", "five past three"] => [:right_other_words],
    ["dial_to_digital", "3:05", "3:50"] => %i[misread zero_misplaced],
    ["dial_to_digital", "3:05", "3:01"] => %i[misread numeral_as_minutes],
    ["dial_to_digital", "8:23", "8:20"] => %i[misread stops_at_five],
    ["dial_to_digital", "6:05", "1:30"] => %i[misread hands_swapped],
    ["dial_to_digital", "3:05", "25:99"] => [:unreadable],
    # An hour alone says what it means where the time is an o'clock, and there alone.
    ["dial_to_words", "3:00", "3"] => [:right_writing_slip],
    ["dial_to_words", "3:00", "its three"] => [:right_writing_slip],
    ["dial_to_digital", "12:00", "12"] => [:right_writing_slip],
    ["dial_to_words", "3:00", "4"] => [:unexplained],
    ["dial_to_words", "3:00", "12"] => %i[misread hour_from_minute_hand],
    ["dial_to_words", "3:30", "3"] => [:unreadable],
    ["dial_to_words", "3:00", "13"] => [:unreadable]
  }.each do |(task_id, shown, text), verdict|
    it("judges #{text.inspect} at #{shown}, #{task_id}: #{verdict.join(' ')}") { expect(judged(task_id, shown, text)).to eq(verdict) }
  end

  it "keeps every misreading that predicts an answer, and tells the seldom ones where nothing commoner explains it" do
    expect(mark("dial_to_words", "3:30", "half past four").misreadings).to eq(%i[next_hour_early next_hour_always])
    expect(judged("dial_to_digital", "7:50", "7:00")).to eq(%i[misread minutes_left_out])
    expect(judged("dial_to_digital", "4:10", "4:05")).to eq(%i[misread fives_one_short])
    expect(judged("dial_to_words", "4:55", "four o'clock")).to eq(%i[misread minutes_left_out])
    expect(judged("dial_to_digital", "2:13", "2:14")).to eq(%i[misread ticks_one_over])
    expect(judged("dial_to_digital", "7:11", "7:10")).to eq(%i[misread stops_at_five ticks_one_short])
  end

  it "says what the answer was taken for, and which slips it had" do
    expect(mark("dial_to_words", "7:45", "quater to 7")).to have_attributes(read_as: "quarter to seven", slips: [:spelling])
    expect(mark("dial_to_words", "7:45", "quarter 7").read_as).to eq("quarter past seven or quarter to seven")
    expect(mark("dial_to_digital", "7:45", "745")).to have_attributes(read_as: "7:45", slips: [:run_together])
  end

  # An hour of a hundred minutes: it can be read, and is wrong.
  [["7:75", :unexplained], ["4:80", :unexplained], ["3:60", :unexplained], ["12.99", :unexplained], ["25:99", :unreadable],
   ["0:75", :unreadable], ["13:75", :unreadable]].each do |text, verdict|
    it("takes #{text} for #{verdict}") { expect(mark("dial_to_digital", "7:45", text).verdict).to eq(verdict) }
  end

  it "takes a nought left out for unreadable, where nobody can say what was meant" do
    found = [["9:20", "9:2"], ["4:30", "4.3"], ["9:02", "9:2"], ["9:00", "9:0"], ["9:25", "9:2"]].map do |time, text|
      mark("dial_to_digital", time, text).verdict
    end
    expect(found.first(4)).to eq(%i[unreadable unreadable right_writing_slip right_writing_slip])
    expect(found.last).not_to eq(:unreadable)
  end

  it "reads nothing that says it is not there yet, but where about is what is asked for" do
    texts = ["nearly eleven", "almost 11", "it's nearly eleven o'clock", "not quite eleven"]
    expect(texts.map { |text| mark("dial_to_words", "10:55", text).verdict }.uniq).to eq([:unreadable])
    expect(mark("hour_only", "10:50", "nearly eleven").verdict).to eq(:unreadable)
    expect(mark("estimate", "7:45", "almost 7:45")).to be_read_right
  end
end
