# frozen_string_literal: true

module Vantick
  module Core
    # A time in words: the usual way of saying it, and every other way.
    module Phrase
      WORDS = DataFile.load("words")[:saying]

      class << self
        # @param time [DialTime]
        # @return [String] such as "quarter to eight"
        def usual(time) = words(Saying.usual(time))

        # @param time [DialTime]
        # @return [Array<String>] every way of saying it, the usual way first, none twice
        def all(time)
          said = [Saying.usual(time), Saying.past(time)]
          (said.flat_map { |saying| forms(saying) } + spoken_digits(time) + names(time)).uniq
        end

        # @param saying [Saying]
        # @return [String] in quarters and halves, with "minutes" where the count is no multiple of five
        def words(saying)
          return "#{number(saying.hour)} #{WORDS[:oclock]}" if saying.side == :oclock

          "#{count(saying)} #{WORDS[saying.side]} #{number(saying.hour)}"
        end

        # @param saying [Saying]
        # @return [String] for narrow places, numbers in digits: "quarter to 8", "7 past 4"
        def short(saying)
          return "#{saying.hour} #{WORDS[:oclock]}" if saying.side == :oclock

          "#{landmark(saying) || saying.count} #{WORDS[saying.side]} #{saying.hour}"
        end

        private

        def forms(saying)
          return [words(saying)] if saying.side == :oclock

          tail = "#{WORDS[saying.side]} #{number(saying.hour)}"
          plain = fives?(saying) ? ["#{number(saying.count)} #{tail}"] : []
          [words(saying), *plain, "#{with_minutes(saying.count)} #{tail}"]
        end

        def landmark(saying)
          return WORDS[:quarter] if saying.count == Saying::QUARTER

          WORDS[:half] if saying.count == Saying::HALF && saying.side == :past
        end

        def count(saying)
          return landmark(saying) if landmark(saying)

          fives?(saying) ? number(saying.count) : with_minutes(saying.count)
        end

        def fives?(saying) = (saying.count % 5).zero?

        def with_minutes(count) = "#{number(count)} #{count == 1 ? WORDS[:minute] : WORDS[:minutes]}"

        def spoken_digits(time)
          return [] if time.minute.zero?

          zero = time.minute < 10 ? "#{WORDS[:zero]} " : ""
          ["#{number(time.hour_passed)} #{zero}#{number(time.minute)}"]
        end

        def names(time) = time.index.zero? ? [WORDS[:noon], WORDS[:midnight]] : []

        def number(value) = NumberWords.standard.spell(value)
      end
    end
  end
end
