# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # What people are doing at a time of the day: something of the class's own day, or what comes before and after it.
      module DayPlace
        class << self
          # @param time [DayTime]
          # @param day [Array<Hash>] each with `time` and `what`, in order; an ordinary day where there are none
          # @return [Hash] `at`, or `after` and `before`; before the first comes the last of the day before, after the last the
          #   first of the next
          def of(time, day)
            events = day.empty? ? DayFacts::DATA[:usual_day] : day
            earlier, later = events.partition { |event| Dial::DayTime.parse(event[:time]) <= time }
            last = earlier.last
            return { at: last[:what], after: nil, before: nil } if last && Dial::DayTime.parse(last[:time]) == time

            { at: nil, after: (last || events.last)[:what], before: (later.first || events.first)[:what] }
          end

          # @param day [Array<Hash>] each with `time` and `what`; an ordinary day where there are none
          # @return [Array<DayTime>] times of the day that a class writes down, with noon and midnight
          def times(day)
            events = day.empty? ? DayFacts::DATA[:usual_day] : day
            own = events.map { |event| Dial::DayTime.parse(event[:time]) }
            midnight_and_noon = [Dial::DayTime.all.first, Dial::DayTime.all[Dial::DialTime::ROUND]]
            (own + midnight_and_noon).uniq.sort
          end
        end
      end
    end
  end
end
