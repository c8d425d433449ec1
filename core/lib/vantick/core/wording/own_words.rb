# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Words as one child writes them, learned from answers that a teacher has read: "fif" is Kofi's five.
      class OwnWords
        WORD = /[a-z]+/
        # Words that mean something by themselves are nobody's own.
        KNOWN = [*LikelyReader::COUNTS.keys, *LikelyReader::TENS.keys, *LikelyReader::SIDES.keys, "minutes", "minute", "oclock"].freeze

        # @param pairs [Array<Array(String, String)>] an answer that could not be read, and what a teacher took it for; oldest first
        # @return [OwnWords] what each word stands for, where the two are alike but for that word
        # @example
        #   OwnWords.from([["ten past fif", "ten past five"]]).read("fif past two") # "five past two"
        def self.from(pairs)
          new(pairs.filter_map { |raw, meant| differing(*[raw, meant].map { |text| words(text) }) }.to_h)
        end

        def self.words(text) = AnswerNormalizer.of(text).plain.delete("'").scan(WORD)

        def self.differing(raw, meant)
          return unless raw.length == meant.length

          other = raw.zip(meant).reject { |one, two| one == two }
          other.first if other.one? && !KNOWN.include?(other.first.first) && KNOWN.include?(other.first.last)
        end
        private_class_method :words, :differing

        # @param meanings [Hash{String => String}] by the child's word
        def initialize(meanings)
          @meanings = meanings.freeze
          freeze
        end

        # @param text [String] the answer exactly as given
        # @return [String, nil] the same in known words; nothing where it has no word of the child's own
        def read(text)
          plain = AnswerNormalizer.of(text).plain
          known = plain.gsub(WORD) { |word| @meanings.fetch(word, word) }
          known unless known == plain
        end
      end
    end
  end
end
