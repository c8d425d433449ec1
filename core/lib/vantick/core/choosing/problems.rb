# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # Problems for those who are ready for reasons: from a dial to another time, and from a dial to what is next in the class's
      # own day. Each has its answer.
      module Problems
        # @!attribute time [DialTime] that the dial shows
        # @!attribute text [String] what is asked
        # @!attribute answer [String]
        Problem = Struct.new(:time, :text, :answer, keyword_init: true)
        # How near what happens next may be, so that it can be counted on the dial (judgement).
        AHEAD_MINUTES = (10..300)

        class << self
          # @param times [Array<DialTime>] of the dials, in order
          # @param conventions [Conventions]
          # @param day [Array<Hash>] each with `time` of the day and `what` happens, as the class wrote it down
          # @return [Array<Problem>] no more than there are times
          def of(times, conventions:, day: [])
            texts = SheetKind::WORDS[:problems]
            found = texts.zip(times).filter_map { |text, time| later(text, time, conventions) if time }
            [*found, *until_next(times.drop(texts.length), conventions, day)]
          end

          private

          def later(text, time, conventions)
            shown = Dial::DialTime.all[(time.dial_time.index + text[:minutes]) % Dial::DialTime::ROUND]
            Problem.new(time:, text: Wording::ClassWords.fill(text[:text], conventions), answer: time_in_words(shown, conventions)).freeze
          end

          # The first of the dials from which something of the day is near enough.
          def until_next(times, conventions, day)
            pairs = times.product(day).filter_map { |time, event| [time, event, minutes_until(time, event)] }
            time, event, minutes = pairs.find { |_, _, ahead| AHEAD_MINUTES.cover?(ahead) } || return
            words = SheetKind::WORDS[:until_next]
            from = Dial::DayTime.parse(event[:time]).dial_time
            what = event[:what][0].upcase + event[:what][1..]
            text = format(words[:text], what:, time: from.digital(conventions.sign))
            [Problem.new(time:, text:, answer: Reading::Between.length(minutes)).freeze]
          end

          # On the way round that the dial shows: halves of the day look alike on it.
          def minutes_until(time, event)
            (Dial::DayTime.parse(event[:time]).dial_time.index - time.dial_time.index) % Dial::DialTime::ROUND
          end

          def time_in_words(time, conventions) = "#{Wording::Phrase.usual(time, conventions)}, #{time.digital(conventions.sign)}"
        end
      end
    end
  end
end
