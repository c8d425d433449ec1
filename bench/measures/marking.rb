# frozen_string_literal: true

# What marking costs.
module Bench
  module_function

  def mark_cost
    answers = DialTime.all.to_h { |time| [time, Phrase.usual(DialTime.from_index(time.index + 5))] }
    read = quickest { answers.each_value { |text| AnswerReader.read(text) } }
    quickest { answers.each { |time, text| Marker.mark(task: WORDS, time:, text:) } } / read
  end

  measure(:mark_cost, "time to mark an answer over that to read it", "small") { mark_cost }
end
