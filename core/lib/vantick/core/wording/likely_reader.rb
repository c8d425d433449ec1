# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Reads what the strict readers cannot, by what a time's sentence can have in each place: how many, past or to, which hour. What costs
      # least is taken, unless another reading costs nearly as little. It knows nothing of the right answer.
      class LikelyReader
        NUMBERS = NumberWords.standard.simple
        TABLE = Misspelling::TABLE
        # What may stand in each place, by how it is written.
        COUNTS = { **NUMBERS.slice(*1..20).invert, "quarter" => SpokenTime::QUARTER, "half" => SpokenTime::HALF }.freeze
        TENS = { NUMBERS.fetch(20) => 20 }.freeze
        UNITS = NUMBERS.slice(*1..9).invert.freeze
        HOURS = NUMBERS.slice(*1..12).invert.freeze
        # Of the words for a side those that no other word lies near.
        READ = Facts::DataFile.load("words")[:read]
        SIDES = %i[past to].flat_map { |side| (READ[side] - TABLE[:sides_not]).map { |word| [word, side] } }.to_h.freeze
        MINUTES = { "minutes" => nil, "minute" => nil }.freeze
        OCLOCK = { "oclock" => nil }.freeze
        # Words that say nothing; and letters and digits, as far as they are looked at.
        FILLERS = (READ[:filler] + TABLE[:fillers]).freeze
        WORD = /[a-z]+|\d+/
        MOST_WORDS, LONGEST = TABLE.values_at(:words, :letters)

        # A way to read it.
        Way = Struct.new(:saying, :cost)

        # @param plain [String] tidied text
        # @return [Array<ParsedAnswer>] one, or none where nothing is near or two readings are
        # @example
        #   LikelyReader.read("twenty nie to six").first.saying.to_s # "twenty-nine minutes to six"
        def self.read(plain) = new(plain).read

        # @param plain [String] tidied text
        # @return [Array<ParsedAnswer>] where two readings are nearly as likely, both, the likelier first; none otherwise
        # @example
        #   LikelyReader.near("ten past fine").map(&:read_as) # ["ten past five", "ten past nine"]
        def self.near(plain) = new(plain, own: true).near

        # @param own [Boolean] whether words of their own may stand for one that is like them
        # @param plain [String] tidied text
        def initialize(plain, own: false)
          @own = own
          @words = plain.delete("'").scan(WORD) - FILLERS
        end

        # @return [Array<ParsedAnswer>]
        def read
          best, second = likeliest
          clear?(best, second) ? [parsed(best)] : []
        end

        # @return [Array<ParsedAnswer>]
        def near
          best, second = likeliest
          return [] if best.nil? || best.cost > TABLE[:most]

          [best, second].compact.select { |way| way.cost - best.cost < TABLE[:apart] }.map { |way| parsed(way) }
        end

        private

        def fits? = (2..MOST_WORDS).cover?(@words.length) && @words.all? { |word| word.length <= LONGEST }

        def parsed(way) = ParsedAnswer.new(way.saying, :words, [:spelling])

        def likeliest = fits? ? ways.group_by(&:saying).map { |_, all| all.min_by(&:cost) }.min_by(2, &:cost) : []

        def clear?(best, second)
          return false if best.nil? || best.cost > TABLE[:most]

          second.nil? || second.cost - best.cost >= TABLE[:apart]
        end

        # As it is written; where that is not near, with two words as one or one as two.
        def ways
          plain = sentences(@words, 0.0)
          return plain if plain.any? { |way| way.cost <= TABLE[:near] }

          plain + (joined + apart).flat_map { |words| sentences(words, TABLE[:gap]) }
        end

        def joined
          (0..(@words.length - 2)).filter_map do |at|
            parts = @words[at, 2]
            [*@words[0...at], parts.join, *@words[(at + 2)..]] if parts.none? { |part| whole?(part) }
          end
        end

        # What is a word by itself is no part of one, and has no two in it.
        def whole?(word) = word.match?(/\d/) || Vocabulary.standard.word?(word) || Vocabulary.standard.own?(word)

        def apart
          @words.each_index.reject { |at| whole?(@words[at]) }.flat_map do |at|
            word = @words[at]
            (2..(word.length - 2)).map { |place| [*@words[0...at], word[0...place], word[place..], *@words[(at + 1)..]] }
          end
        end

        def sentences(words, cost)
          [*with_side(words), *oclock(words)].map { |way| Way.new(way.saying, way.cost + cost) }
        end

        def with_side(words)
          (1..(words.length - 2)).flat_map do |at|
            counts = counted(words[0...at])
            next [] if counts.empty?

            meant(words[at], SIDES).product(counts, hour(words[(at + 1)..])).filter_map { |side, count, hour| way(count, side, hour) }
          end
        end

        def way((count, first), (side, second), (hour, third))
          Way.new(SpokenTime.new(count, side, hour), first + second + third)
        rescue InvalidTime
          nil
        end

        def oclock(words)
          first, *others = words
          return [] if others.empty?

          meant(others.join, OCLOCK).product(meant(first, HOURS)).map do |(_, one), (hour, other)|
            Way.new(SpokenTime.new(0, :oclock, hour), one + other)
          end
        end

        # How many: a word, or a ten and its unit; with "minutes" or without.
        def counted(words)
          found = number(words).map { |count, cost| [count, (count % 5).zero? ? cost : cost + TABLE[:bare]] }
          return found if words.length < 2

          minutes = meant(words.last, MINUTES)
          found + number(words[0...-1]).product(minutes).map { |(count, one), (_, other)| [count, one + other] }
        end

        def number(words)
          case words.length
          when 1 then meant(words.first, COUNTS)
          when 2 then meant(words[0], TENS).product(meant(words[1], UNITS)).map { |(ten, one), (unit, other)| [ten + unit, one + other] }
          else []
          end
        end

        def hour(words)
          return meant(words.first, HOURS) if words.length == 1

          rest = meant(words.drop(1).join, OCLOCK)
          meant(words.first, HOURS).product(rest).map { |(hour, one), (_, other)| [hour, one + other] }
        end

        # What a word may be in its place, with what it costs.
        def meant(word, place)
          return digits(word.to_i, place) if word.match?(/\A\d+\z/)
          return [[place[word], 0.0]] if place.key?(word)
          return [] if taken?(word, place)

          (@meant ||= {})[[word, place]] ||= place.filter_map do |form, value|
            cost = cost(word, form, value)
            [value, cost] if cost <= Misspelling.limit(form)
          end
        end

        # A word that means something else here; words of their own may stand for the side, as nothing else can.
        def taken?(word, place)
          Vocabulary.standard.word?(word) || (Vocabulary.standard.own?(word) && !place.equal?(SIDES) && !@own)
        end

        # A spelling that is known for the word is as good as a right one that sounds so.
        def cost(word, form, value)
          kind, number = Vocabulary.standard.known_spelling(word)
          known = kind == :number ? number == value : kind.to_s == form
          known ? TABLE[:doubled] : Misspelling.cost(word, form)
        end

        # A 2 in the place of the side is the word that sounds like it.
        def digits(number, place)
          return number == 2 ? [[:to, TABLE[:sounds_right]]] : [] if place.equal?(SIDES)

          place.value?(number) || (place.equal?(COUNTS) && (1..59).cover?(number)) ? [[number, 0.0]] : []
        end
      end
    end
  end
end
