# frozen_string_literal: true

module Bench
  # What marking costs.
  class Marks < Family
    def mark_cost
      answers = Dial::DialTime.all.to_h { |time| [time, Wording::Phrase.usual(Dial::DialTime.from_index(time.index + 5))] }
      read = quickest { answers.each_value { |text| Wording::AnswerReader.read(text) } }
      quickest { answers.each { |time, text| Marking::Marker.mark(task: WORDS, time:, text:) } } / read
    end

    measure(:mark_cost, "time to mark an answer over that to read it", "small") { mark_cost }
  end
end
