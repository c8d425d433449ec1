# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Reads an answer that is a part of a time: an hour, minutes with past or to, a length in minutes,
      # a half of the day.
      module PartReader
        # One way to take an answer.
        # @!attribute value [Integer, Counted, Symbol]
        # @!attribute slips [Array<Symbol>] some of {ParsedAnswer::SLIPS}
        Part = Struct.new(:value, :slips, keyword_init: true)

        HALVES = Facts::DataFile.load("words")[:day_halves]
        # Halves that are words of their own, known by their sound as well: "midnite".
        HEARD = %i[noon midnight].freeze
        DAY_HALVES = HALVES.flat_map { |half, forms| forms.map { |form| [form.delete("."), half] } }.to_h.freeze
        HOUR = [%i[number], %i[number oclock]].freeze
        # Lengths beside a number of minutes: what is said, and the minutes it means.
        LENGTH = [%i[number], %i[number minutes]].freeze
        HOURS = { %i[quarter] => 15, %i[quarter hours] => 15, %i[quarter to hours] => 15, %i[half] => 30, %i[half hours] => 30,
                  %i[hours] => 60 }.freeze
        CODE = /\A(?<count>[qh]|\d{1,2})\s?(?<side>[pt])\z/
        AT = /\A\d{1,2}(?:\s?[:.]\s?\d{2})?\s*(?=[a-z])/
        COUNTS = { quarter: SpokenTime::QUARTER, half: SpokenTime::HALF }.freeze
        SIDES = { quarter: %i[past to], half: %i[past] }.freeze
        LONGEST = AnswerReader::LONGEST

        class << self
          # @param half [Symbol] one of {DayTime::HALVES}
          # @return [String] such as "a.m."
          def day_half_name(half) = HALVES.fetch(half).first

          # @param count [Integer]
          # @return [String] a length, such as "45 minutes"
          def minutes(count) = "#{count} #{Phrase::WORDS[count == 1 ? :minute : :minutes]}"

          # @param text [String] the answer exactly as given
          # @param notation [Symbol] `:hour`, `:count`, `:length` or `:day_half`
          # @return [Array<Part>] every way to take it, those without a slip first; none where it means nothing
          # @raise [AnswerTooLong]
          def read(text, notation)
            raise AnswerTooLong.new(text.length, LONGEST) if text.length > LONGEST

            plain = AnswerReader.tidy(text)
            return day_half(plain) if notation == :day_half

            code = CODE.match(plain) if notation == :count
            return short(code) if code

            WrittenWords.in(plain).flat_map { |words| send(notation, words) }.uniq.sort_by { |part| part.slips.length }
          end

          private

          # Alone, or after the time itself.
          def day_half(plain)
            words = plain.sub(AT, "").delete(".").squeeze(" ")
            half = DAY_HALVES[words]
            return [part(half, [])] if half

            near = words.length < 4 ? nil : heard_half(words) || nearest_half(words)
            near ? [Part.new(value: near, slips: [:spelling]).freeze] : []
          end

          def heard_half(word) = Vocabulary.standard.find(word)&.kind.then { |kind| kind if HEARD.include?(kind) }

          def nearest_half(word)
            far = DAY_HALVES.keys.select { |form| form.length > 3 }.to_h { |form| [form, DidYouMean::Levenshtein.distance(word, form)] }
            near = far.select { |form, distance| distance <= (form.length > 6 ? 2 : 1) }
            halves = near.select { |_, distance| distance == near.values.min }.map { |form, _| DAY_HALVES[form] }.uniq
            halves.first if halves.one?
          end

          def hour(words) = HOUR.include?(kinds(words)) ? [part(words.first.value, words)] : []

          def length(words)
            kinds = kinds(words)
            minutes = kinds == %i[number hours] ? words.first.value * 60 : HOURS[kinds]
            return [part(minutes, words)] if minutes

            LENGTH.include?(kinds) ? [part(words.first.value, words)] : []
          end

          # `qt`, `20p`: as a teacher types them.
          def short(code)
            count = { "q" => SpokenTime::QUARTER, "h" => SpokenTime::HALF }.fetch(code[:count], &:to_i)
            if (0..59).cover?(count)
              [part(Counted.new(count, code[:side] == "p" ? :past : :to), [])]
            else
              []
            end
          end

          def count(words)
            kinds = kinds(words)
            return [part(Counted.new(0, :oclock), words)] if kinds == %i[oclock]

            count = COUNTS.fetch(kinds.first) { words.first.value if kinds.first == :number }
            sides = sides(kinds.drop(1) - [:minutes], kinds.first)
            count && (0..59).cover?(count) ? sides.map { |side, slips| part(Counted.new(count, side), words, slips) } : []
          end

          # A bare number is minutes past; a bare quarter may be either.
          def sides(rest, first)
            return [[rest.first, []]] if [[:past], [:to]].include?(rest)
            return [] if rest.any?

            first == :number ? [[:past, []]] : SIDES.fetch(first, []).map { |side| [side, [:no_side]] }
          end

          def kinds(words) = words.map(&:kind)

          def part(value, words, slips = [])
            Part.new(value:, slips: (words.any?(&:misspelled) ? [:spelling] : []) + slips).freeze
          end
        end
      end
    end
  end
end
