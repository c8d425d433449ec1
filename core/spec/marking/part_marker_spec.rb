# frozen_string_literal: true

RSpec.describe Vantick::Core::Marking::PartMarker do
  def judged(task_id, shown, text)
    asked = task(task_id)
    Vantick::Core::Marking::Marker.mark(task: asked, time: asked.parse_time(shown), text:).then do |marked|
      [marked.verdict, *marked.causes]
    end
  end

  { hour_only: {
      ["7:45", "7"] => [:right], ["7:45", "seven"] => [:right], ["7:45", "7 o'clock"] => [:right],
      ["7:45", "sevn"] => [:right_writing_slip],
      ["7:45", "8"] => %i[misread next_hour_early], ["12:40", "12"] => [:right], ["12:40", "1"] => %i[misread next_hour_early],
      ["7:10", "8"] => %i[misread next_hour_always], ["7:10", "quarter past"] => [:unreadable],
      ["7:10", ""] => [:blank], ["7:10", "13"] => [:unexplained]
    },
    minute_only: {
      ["7:45", "quarter to"] => [:right], ["7:45", "15 to"] => [:right], ["7:45", "45 past"] => [:right_other_words],
      ["7:45", "45"] => [:right_other_words], ["7:45", "quater to"] => [:right_writing_slip], ["7:45", "quarter"] => [:right_writing_slip],
      ["7:15", "quarter past"] => [:right], ["7:15", "15"] => [:right], ["7:00", "o'clock"] => [:right], ["7:30", "half past"] => [:right],
      ["7:23", "twenty-three minutes past"] => [:right], ["7:23", "20 past"] => %i[misread stops_at_five],
      ["7:45", "45 to"] => %i[misread past_count_with_to], ["7:45", "quarter past"] => %i[misread sides_swapped],
      ["7:20", "4 past"] => %i[misread numeral_as_minutes], ["7:20", "fish past"] => [:unreadable]
    },
    numeral_to_minutes: {
      ["12:20", "20"] => [:right], ["12:20", "20 minutes"] => [:right], ["12:20", "4"] => %i[misread numeral_as_minutes],
      ["12:20", "25"] => %i[misread fives_from_one], ["7:45", "10 min"] => [:right], ["7:45", "2"] => %i[misread numeral_as_minutes],
      ["7:45", "9"] => %i[misread numeral_as_minutes], ["7:45", "50"] => %i[misread counts_wrong_way], ["10:05", "15"] => [:right],
      ["12:00", "0"] => [:right], ["12:00", "60"] => [:right_other_words], ["12:00", "12"] => %i[misread numeral_as_minutes]
    },
    day_half: {
      ["08:30", "a.m."] => [:right], ["08:30", "AM"] => [:right], ["08:30", "in the morning"] => [:right],
      ["08:30", "pm"] => %i[misread day_halves_swapped],
      ["12:00", "noon"] => [:right], ["12:00", "12 noon"] => [:right], ["12:00", "p.m."] => [:right_other_words],
      ["12:00", "a.m."] => %i[misread twelve_with_eleven], ["12:00", "midnight"] => %i[misread day_halves_swapped],
      ["00:00", "midnight"] => [:right], ["00:00", "am"] => [:right_other_words],
      ["12:30", "am"] => %i[misread day_halves_swapped twelve_with_eleven],
      ["03:15", "pm"] => %i[misread day_halves_swapped dark_is_pm], ["15:15", "p m"] => [:right], ["15:15", "tea time"] => [:unreadable]
    } }.each do |task_id, answers|
    answers.each do |(shown, text), verdict|
      it("judges #{text.inspect} at #{shown}, #{task_id}: #{verdict.join(' ')}") { expect(judged(task_id, shown, text)).to eq(verdict) }
    end
  end

  it "refuses times that the task cannot be asked about" do
    expect { judged(:numeral_to_minutes, "7:43", "5") }.to raise_error(Vantick::Core::InvalidTime)
    expect { judged(:numeral_to_minutes, "7:35", "5") }.to raise_error(Vantick::Core::InvalidTime)
    expect { judged(:day_half, "24:00", "noon") }.to raise_error(Vantick::Core::InvalidTime)
  end

  # An estimate is right within three minutes, and a misreading near its own answer is still told.
  it "takes an estimate as near as it is asked for" do
    { "7:45" => [:right], "7:43" => [:near], "7:48" => [:near],
      "7:41" => [:unexplained], "7:30" => [:unexplained], "8:44" => %i[misread next_hour_early],
      "7:10" => [:unexplained] }.each { |text, verdict| expect(judged(:estimate, "7:45", text)).to eq(verdict) }
    expect(judged(:estimate, "12:00", "11:58")).to eq([:near])
  end

  it "refuses 10,000 characters" do
    expect { judged(:hour_only, "7:45", "7" * 10_000) }.to raise_error(Vantick::Core::AnswerTooLong)
  end
end
