# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # The words of an answer, each with what it means. "twenty five" is one number; at the end of an
      # answer it can be two, a count and an hour.
      module WrittenWords
        TENS = (20..90).step(10).to_a.freeze
        UNITS = (1..9)

        class << self
          # @param plain [String] tidied text
          # @param vocabulary [Vocabulary]
          # @return [Array<Array<Vocabulary::Word>>] every way to take it; none where a word means nothing here
          def in(plain, vocabulary = Vocabulary.standard)
            written = plain.gsub(/(?<=\d)(?=[a-z])|(?<=[a-z])(?=\d)/, " ").split(/[\s\-,.]+/).reject(&:empty?)
            found = written.flat_map { |word| number(word) || vocabulary.find(word) || glued(word, vocabulary) }
            return [] if found.empty? || !found.all?

            words = found.reject { |word| word.kind == :filler }
            plain.match?(/-\w+\z/) ? [join(words)] : [join(words), join(words[0...-1]) + words.last(1)].uniq
          end

          private

          def glued(word, vocabulary) = vocabulary.apart(word).then { |words| words.empty? ? [nil] : words }

          def number(word)
            Vocabulary::Word.new(kind: :number, value: word.to_i, digits: true) if word.match?(/\A\d{1,2}\z/)
          end

          def join(words)
            words.each_with_object([]) do |word, joined|
              last = joined.last
              next joined << word unless tens?(last) && unit?(word)

              misspelled = last.misspelled || word.misspelled
              joined[-1] = Vocabulary::Word.new(kind: :number, value: last.value + word.value, misspelled:)
            end
          end

          def tens?(word) = word&.kind == :number && !word.digits && TENS.include?(word.value)

          # "twenty five", and "twenty 5".
          def unit?(word) = word.kind == :number && UNITS.include?(word.value)
        end
      end
    end
  end
end
