# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Reads a time said in words, numbers written in words or in digits, spelled somehow.
      class WordReader
        COUNTS = %i[quarter half number].freeze
        SAID = { past: :past, to: :to }.freeze
        # What can stand in the place of the hour.
        HOURS = [%i[number], %i[number oclock]].freeze
        AFTER_NOON = (13..24)
        AT_TWELVE = [%i[noon], %i[midnight]].freeze
        SAID_APART = %i[hours oclock].flat_map { |kind| [[:number, kind, :number], [:number, kind, :number, :minutes]] }.freeze

        # @param plain [String] tidied text
        # @return [Array<ParsedAnswer>] every way to take it, those without a slip first; none where it means nothing
        def self.read(plain)
          ways = WrittenWords.in(plain)
          found = ways.flat_map { |words| new(words).read }
          found = ways.flat_map { |words| new(sounding(words)).read } if found.empty?
          found.uniq.sort_by.with_index { |given, at| [given.slips.length, at] }
        end

        # "half past too", "too minutes to four": at the beginning and at the end it is the number that sounds so.
        # @param words [Array<Vocabulary::Word>]
        # @return [Array<Vocabulary::Word>]
        def self.sounding(words)
          last = words.length - 1
          words.each_with_index.map do |word, at|
            next word unless word.kind == :to && [0, last].include?(at)

            Vocabulary::Word.new(kind: :number, value: 2, misspelled: true).freeze
          end
        end

        # @param words [Array<Vocabulary::Word>]
        def initialize(words)
          @words = words
          @slips = words.any?(&:misspelled) ? [:spelling] : []
        end

        # @return [Array<ParsedAnswer>]
        def read = named || oclock || with_side || hours || spoken || without_side

        private

        def kinds = @kinds ||= @words.map(&:kind)

        def named
          return unless [%i[noon], %i[midnight], %i[number noon], %i[number midnight]].include?(kinds)
          return if kinds.length == 2 && @words.first.value != 12

          parsed(0, :oclock, 12, :name)
        end

        def oclock
          parsed(0, :oclock, @words.first.value) if kinds == %i[number oclock]
        end

        def with_side
          count, side, hour = parts(kinds.index { |kind| SAID.key?(kind) }) || homophone
          return unless hour

          slips = side.kind == :number ? [:spelling] : []
          parsed(count, side.kind == :number ? :to : side.kind, *Array(hour_of_day(hour)), slips:)
        end

        # "Quarter to thirteen": whoever counts on from twelve means one o'clock, and says it in other words.
        def hour_of_day(hour) = AFTER_NOON.cover?(hour) ? [Dial::DialTime.numeral(hour), :spoken] : hour

        # "quarter two eight": the number in the place of the side is the word that sounds like it.
        def homophone
          place = (1...kinds.length).find { |at| @words[at].kind == :number && @words[at].value == 2 && !@words[at].digits }
          parts(place) if place && place + 1 < kinds.length
        end

        def parts(place)
          return unless place

          count = count_in(kinds[0...place])
          hour = hour_in(kinds[(place + 1)..], place + 1)
          [count, @words[place], hour] if count && hour
        end

        def count_in(before)
          return unless COUNTS.include?(before.first) && [[], [:minutes]].include?(before.drop(1))

          { quarter: SpokenTime::QUARTER, half: SpokenTime::HALF }.fetch(before.first) { @words.first.value }
        end

        def hour_in(after, place)
          return 12 if AT_TWELVE.include?(after)

          @words[place].value if HOURS.include?(after)
        end

        # "seven hours forty-five minutes", "seven o'clock and forty-five".
        def hours
          return unless SAID_APART.include?(kinds) && (1..12).cover?(@words[0].value) && (0..59).cover?(@words[2].value)

          [ParsedAnswer.new(SpokenTime.past(Dial::DialTime.at(@words[0].value, @words[2].value)), :spoken, @slips)]
        end

        # "quarter seven", "ten minutes four": the side is missing, so it may be either.
        def without_side
          place = kinds[1] == :minutes ? 2 : 1
          count = count_in(kinds[0...place])
          hour = hour_in(kinds[place..] || [], place)
          return [] unless count && hour && side_missing?(count)

          sides = kinds.first == :half ? [:past] : %i[past to]
          sides.flat_map { |side| parsed(count, side, hour, slips: [:no_side]) }
        end

        # Of two bare numbers the first can be a count without "minutes" where it is a multiple of five.
        def side_missing?(count) = kinds.first != :number || kinds[1] == :minutes || ((count % 5).zero? && count <= SpokenTime::HALF)

        def spoken
          hour, minute = @words.select { |word| word.kind == :number }.map(&:value)
          return unless [%i[number number], %i[number zero number], %i[number number minutes]].include?(kinds)
          return unless (1..12).cover?(hour) && (kinds[1] == :zero ? (1..9) : (10..59)).cover?(minute)

          [ParsedAnswer.new(SpokenTime.past(Dial::DialTime.at(hour, minute)), :spoken, @slips)]
        end

        def parsed(count, side, hour, form = :words, slips: [])
          [ParsedAnswer.new(SpokenTime.new(count, side, hour), form, @slips + slips)]
        rescue InvalidTime
          []
        end
      end
    end
  end
end
