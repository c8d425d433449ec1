# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # The many ways of writing one answer, for programs that compare letters and read nothing. Which of them are right, {Marking::Marker}
      # says.
      module Spellings
        SIGNS = [":", ".", " "].freeze
        # Words that classes choose from, by side.
        SIDES = { past: Conventions::TABLE[:past_word], to: Conventions::TABLE[:to_word] }.freeze
        # What is written for "o'clock".
        OCLOCK = ["o'clock", "oclock"].freeze

        class << self
          # @param answer [DialTime, SpokenTime, Counted]
          # @param conventions [Conventions, nil] the class whose words alone are wanted; without one, all words for a side
          # @return [Array<String>] none twice; of what is no time, or a part of one that takes a single word, none
          # @example
          #   Spellings.of(Dial::DialTime.parse("7:45")) # ["7:45", "07:45", "7.45", "07.45", "7 45", "07 45"]
          def of(answer, conventions = nil)
            case answer
            when Dial::DialTime, Dial::DayTime then digits(answer.dial_time)
            when SpokenTime then words(answer, conventions)
            when Counted then counted(answer, conventions)
            else []
            end
          end

          # @param time [DialTime]
          # @return [Array<String>] every way of saying it, forwards and backwards, and in digits
          def of_time(time)
            (Phrase.all(time) + [SpokenTime.usual(time), SpokenTime.past(time)].flat_map { |saying| words(saying) } + digits(time)).uniq
          end

          private

          def digits(time)
            hour = time.hour_passed
            minutes = format("%02d", time.minute)
            SIGNS.flat_map { |sign| ["#{hour}#{sign}#{minutes}", format("%<hour>02d", hour:) + sign + minutes] }.uniq
          end

          def words(saying, conventions = nil)
            hours = number(saying.hour)
            return hours.product([*OCLOCK, nil]).map { |words| words.compact.join(" ") } if saying.side == :oclock

            counts(saying).product(sides(saying, conventions), hours).map { |words| words.join(" ") }
          end

          def counted(counted, conventions)
            return OCLOCK + number(0) if counted.side == :oclock

            spoken = counts(counted).product(sides(counted, conventions)).map { |words| words.join(" ") }
            counted.side == :past ? spoken + counts(counted) : spoken
          end

          def sides(spoken, conventions) = conventions ? [conventions.word(spoken.side)] : SIDES.fetch(spoken.side)

          # "Quarter", "fifteen", "15", and each number with its minutes.
          def counts(spoken)
            plain = number(spoken.count)
            minutes = Phrase::WORDS[spoken.count == 1 ? :minute : :minutes]
            landmarks(spoken) + plain + plain.map { |words| "#{words} #{minutes}" }
          end

          def landmarks(spoken)
            return [Phrase::WORDS[:quarter], "a #{Phrase::WORDS[:quarter]}"] if spoken.count == SpokenTime::QUARTER

            spoken.count == SpokenTime::HALF && spoken.side == :past ? [Phrase::WORDS[:half]] : []
          end

          def number(value)
            word = NumberWords.standard.spell(value)
            [word, word.tr("-", " "), value.to_s].uniq
          end
        end
      end
    end
  end
end
