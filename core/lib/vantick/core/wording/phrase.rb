# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # A time in words, in a class's conventions: the usual way of saying it, and every other way.
      module Phrase
        WORDS = Facts::DataFile.load("words")[:saying]
        # As many ways as a line on a note to take home has room for.
        AT_HOME = 3

        class << self
          # @param time [DialTime]
          # @param conventions [Conventions]
          # @return [String] such as "quarter to eight"
          def usual(time, conventions = Conventions.default) = words(SpokenTime.usual(time), conventions)

          # @param time [DialTime]
          # @param conventions [Conventions]
          # @return [Array<String>] every way of saying it, the usual way first, none twice
          def all(time, conventions = Conventions.default)
            ways = [SpokenTime.usual(time), SpokenTime.past(time)]
            (ways.flat_map { |saying| forms(saying, conventions) } + spoken_digits(time) + names(time)).uniq
          end

          # @param time [DialTime]
          # @param conventions [Conventions]
          # @return [Array<String>] what someone elsewhere may say, in words that this class does not use; of half past nothing, it
          #   is half past to all
          def elsewhere(time, conventions = Conventions.default)
            saying = SpokenTime.usual(time)
            return [] if saying.side == :oclock || half?(saying, conventions)

            words = Conventions::TABLE.fetch(:"#{saying.side}_word") - [conventions.word(saying.side).to_sym]
            words.map { |word| words(saying, conventions.with("#{saying.side}_word": word)) }
          end

          # @param time [DialTime]
          # @param conventions [Conventions]
          # @return [Array<String>] what grown-ups at home are likely to say instead, a few: their words for the side, the digits read out
          #   and, where it is written so often, the plain number
          def at_home(time, conventions = Conventions.default)
            ways = elsewhere(time, conventions).first(AT_HOME - 1) + spoken_digits(time)
            (ways + all(time, conventions).drop(1)).uniq.first(AT_HOME)
          end

          # @param saying [SpokenTime]
          # @param conventions [Conventions]
          # @return [String] with "minutes" where the count is no multiple of five
          def words(saying, conventions = Conventions.default)
            return "#{number(saying.hour)} #{WORDS[:oclock]}" if saying.side == :oclock

            count_phrase(count(saying, conventions), saying, conventions)
          end

          # @param counted [Counted]
          # @param conventions [Conventions]
          # @return [String] such as "quarter to" or "twenty-three minutes past"
          def counted(counted, conventions = Conventions.default)
            return WORDS[:oclock] if counted.side == :oclock

            count = count(counted, conventions)
            "#{count} #{side(count, counted, conventions)}"
          end

          # @param saying [SpokenTime]
          # @param conventions [Conventions]
          # @return [String] for narrow places, numbers in digits: "quarter to 8", "7 past 4"
          def short(saying, conventions = Conventions.default)
            return "#{saying.hour} #{WORDS[:oclock]}" if saying.side == :oclock

            landmark = landmark(saying) if conventions.fifteens == :quarter
            "#{landmark || saying.count} #{side(landmark, saying, conventions)} #{saying.hour}"
          end

          private

          def forms(saying, conventions)
            return [words(saying, conventions)] if saying.side == :oclock

            counts = [count(saying, conventions), landmark(saying), (number(saying.count) if fives?(saying)), with_minutes(saying.count)]
            counts.compact.map { |count| count_phrase(count, saying, conventions) }
          end

          def count_phrase(count, saying, conventions) = "#{count} #{side(count, saying, conventions)} #{number(saying.hour)}"

          # "Half after" is said by nobody: with the half all classes say past.
          def side(count, saying, conventions) = count == WORDS[:half] ? WORDS[:past] : conventions.word(saying.side)

          def half?(saying, conventions) = count(saying, conventions) == WORDS[:half]

          def landmark(saying)
            return WORDS[:quarter] if saying.count == SpokenTime::QUARTER

            WORDS[:half] if saying.count == SpokenTime::HALF && saying.side == :past
          end

          def count(saying, conventions)
            landmark = landmark(saying) if conventions.fifteens == :quarter
            landmark || (fives?(saying) ? number(saying.count) : with_minutes(saying.count))
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
end
