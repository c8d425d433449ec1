# frozen_string_literal: true

require "did_you_mean"

module Vantick
  module Core
    module Wording
      # The words an answer may use, and what each means, however it is spelled.
      class Vocabulary
        # What a written word was taken for.
        # @!attribute kind [Symbol] `:number`, `:past`, `:to`, `:quarter`, `:half` and so on
        # @!attribute value [Integer, nil] the number, where it is one
        # @!attribute misspelled [Boolean] whether it was spelled another way than the word is
        # @!attribute digits [Boolean] whether a number was written in digits
        Word = Struct.new(:kind, :value, :misspelled, :digits, keyword_init: true)

        # Wrong letters forgiven, by the length of the word as written (judgement): short words lie too
        # close together to guess among.
        # Kinds of words that are run together; the little ones stand inside too many others.
        GLUED = %i[number quarter half past to oclock minutes].freeze
        FORGIVEN = { (0..3) => 0, (4..5) => 1, (6..20) => 2 }.freeze

        def self.standard = @standard ||= new(Facts::DataFile.load("words"), NumberWords.standard)

        # @param words [Hash] the table of words.yml
        # @param numbers [NumberWords]
        def initialize(words, numbers)
          @exact = {}
          words[:read].each { |kind, forms| forms.each { |form| @exact[form] = [kind, nil] } }
          numbers.simple.each { |number, form| @exact[form] = [:number, number] }
          words[:beyond].each { |number, form| @exact[form] = [:number, number.to_s.to_i] }
          @sounds = sounds(words[:sounds_like], numbers)
          @own = words[:own_words].to_set
          freeze
        end

        # @param written [String] one word, lower case
        # @return [Word, nil] nothing where no word is near, or two meanings are equally near
        def find(written)
          meaning = @exact[written]
          return word(meaning, false) if meaning

          meaning = @sounds[written]
          return word(meaning, true) if meaning
          return if own?(written)

          meaning = turned_round(written) || nearest(written)
          meaning && word(meaning, true)
        end

        # @param written [String] one word, lower case
        # @return [Boolean] whether it is a word that an answer may use, spelled as it should be
        def word?(written) = @exact.key?(written)

        # @param written [String] one word, lower case
        # @return [Array(Symbol, Integer), nil] what it is in a spelling that is known, and the number where it is one
        def known_spelling(written) = @sounds[written]

        # @param written [String] one word, lower case
        # @return [Boolean] whether it is a word of its own that lies near one of these: it means something else
        def own?(written) = @own.include?(written)

        # @param written [String] words that were run together, such as "twentyfive" or "quarterto"
        # @return [Array<Word>] what they are apart; none where it can be taken apart in no way
        def apart(written)
          (2..(written.length - 2)).each do |place|
            parts = [written[0...place], written[place..]]
            next unless parts.all? { |part| GLUED.include?(@exact[part]&.first) }

            return parts.map { |part| word(@exact[part], true) }
          end
          []
        end

        private

        def word((kind, value), misspelled) = Word.new(kind:, value:, misspelled:).freeze

        def sounds(table, numbers)
          table.each_with_object({}) do |(name, forms), found|
            number = numbers.simple.key(name.to_s)
            forms.each { |form| found[form] = number ? [:number, number] : [name, nil] }
          end
        end

        # Two letters next to each other changed over: "eigth".
        def turned_round(written)
          places = 0...(written.length - 1)
          found = places.filter_map { |at| @exact[written.dup.tap { |word| word[at, 2] = word[at, 2].reverse }] }.uniq
          found.first if written.length > 3 && found.one?
        end

        def nearest(written)
          limit = FORGIVEN.find { |lengths, _| lengths.cover?(written.length) }&.last
          return if limit.nil? || limit.zero?

          near = candidates(written, limit)
          meanings = near.select { |distance, _| distance == near.map(&:first).min }.map(&:last).uniq
          meanings.first if meanings.one?
        end

        def candidates(written, limit)
          @exact.filter_map do |form, meaning|
            next if form.length < 4 || (form.length - written.length).abs > limit

            distance = DidYouMean::Levenshtein.distance(written, form)
            [distance, meaning] if distance <= limit
          end
        end
      end
    end
  end
end
