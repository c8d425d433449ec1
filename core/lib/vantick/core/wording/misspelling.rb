# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # How far a written word is from the one that may have been meant: by letters, by keys beside each other, by sound. (A noisy channel:
      # Kernighan, Church and Gale, 1990; from memory.)
      module Misspelling
        TABLE = Facts::DataFile.load("misspelling").freeze
        VOWELS = "aeiou"
        SOUNDS = TABLE[:sounds].flat_map { |pair, cost| [[pair.to_s, cost], [pair.to_s.reverse, cost]] }.to_h.freeze
        KEYS = TABLE[:rows].flat_map { |row| row.chars.each_cons(2).flat_map { |char, other| [char + other, other + char] } }.to_set.freeze
        # Letters of which several make one sound, and what is not heard.
        HEARD = [[/qu/, "kw"], [/ck|c(?![eiyh])/, "k"], [/c(?=[eiy])/, "s"], [/ph/, "f"], [/wh/, "w"], [/igh|eigh/, "A"], [/gh/, ""],
                 [/th/, "T"], [/x/, "ks"], [/e\z/, ""], [/(?<=[aeiouA])r(?![aeiou])/, ""], [/(.)\1+/, '\1'], [/[aeiouy]+/, "A"],
                 [/A+/, "A"]].freeze

        class << self
          # @param written [String] one word, small letters
          # @param meant [String]
          # @return [Float] 0 where they are the same
          # @example
          #   Misspelling.cost("siix", "six") # 0.3
          def cost(written, meant)
            return 0.0 if written == meant

            [letters(written, meant), heard(written, meant)].min
          end

          # @param meant [String]
          # @return [Float] what a word may cost at most
          def limit(meant) = [TABLE[:share] * meant.length, TABLE[:least]].max

          private

          def heard(written, meant)
            sounded, wanted = [written, meant].map { |word| sound(word) }
            return TABLE[:sounds_right] if sounded == wanted

            TABLE[:sounds_right] + (TABLE[:sounds_off] * DidYouMean::Levenshtein.distance(sounded, wanted))
          end

          def sound(word)
            @heard ||= TABLE[:said].transform_keys(&:to_s)
            @heard[word] ||= HEARD.reduce(word) { |so_far, (letters, sound)| so_far.gsub(letters, sound) }
          end

          # The least that leads from one to the other, letter by letter.
          def letters(written, meant)
            rows = [(0..meant.length).map { |at| at * TABLE[:less] }]
            (1..written.length).each do |down|
              rows << [down * TABLE[:more]]
              (1..meant.length).each { |across| rows[down] << least(written[0, down], meant[0, across], rows) }
            end
            rows.last.last
          end

          # Of the beginnings of both words, by what their own beginnings cost.
          def least(written, meant, rows)
            before, here = rows.last(2)
            across = meant.length
            found = [before[across - 1] + swapped(written[-1], meant[-1]), before[across] + added(written),
                     here[across - 1] + left_out(meant)]
            found << (rows[-3][across - 2] + TABLE[:turned]) if turned?(written[-2..], meant[-2..])
            found.min
          end

          def turned?(written, meant) = written && meant && written == meant.reverse

          def swapped(letter, other)
            return 0.0 if letter == other
            return TABLE[:vowel] if VOWELS.include?(letter) && VOWELS.include?(other)

            pair = letter + other
            SOUNDS[pair] || (KEYS.include?(pair) ? TABLE[:keys] : TABLE[:other])
          end

          def added(word) = twice?(word) ? TABLE[:doubled] : TABLE[:more]

          def left_out(word)
            return TABLE[:doubled] if twice?(word)

            VOWELS.include?(word[-1]) ? TABLE[:no_vowel] : TABLE[:less]
          end

          def twice?(word) = word.length > 1 && word[-1] == word[-2]
        end
      end
    end
  end
end
