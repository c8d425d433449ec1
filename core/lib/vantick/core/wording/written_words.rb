# frozen_string_literal: true

module Vantick
  module Core
    # The words of an answer, each with what it means. "twenty five" is one number; at the end of an
    # answer it can be two, a count and an hour.
    module WrittenWords
      TENS = [20, 30, 40, 50].freeze
      UNITS = (1..9)

      class << self
        # @param plain [String] tidied text
        # @return [Array<Array<Vocabulary::Word>>] every way to take it; none where a word means nothing here
        def in(plain, vocabulary = Vocabulary.standard)
          written = plain.gsub(/(?<=\d)(?=[a-z])|(?<=[a-z])(?=\d)/, " ").split(/[\s\-,.]+/).reject(&:empty?)
          found = written.map { |word| number(word) || vocabulary.find(word) }
          return [] if found.empty? || !found.all?

          words = found.reject { |word| word.kind == :filler }
          plain.match?(/-\w+\z/) ? [join(words)] : [join(words), join(words[0...-1]) + words.last(1)].uniq
        end

        private

        def number(word)
          Vocabulary::Word.new(kind: :number, value: word.to_i, digits: true) if word.match?(/\A\d{1,2}\z/)
        end

        def join(words)
          words.each_with_object([]) do |word, joined|
            last = joined.last
            next joined << word unless in_letters?(last, TENS) && in_letters?(word, UNITS)

            misspelled = last.misspelled || word.misspelled
            joined[-1] = Vocabulary::Word.new(kind: :number, value: last.value + word.value, misspelled:)
          end
        end

        def in_letters?(word, values) = word&.kind == :number && !word.digits && values.include?(word.value)
      end
    end
  end
end
