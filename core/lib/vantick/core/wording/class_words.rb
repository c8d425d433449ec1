# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Texts in a class's own words: `%{past}` and `%{to}` stand in the data where a class may say something else, and the words
      # of {English} where British and American differ. "Half past" is said by all, and stays.
      module ClassWords
        PLACES = /%\{(past|to|#{English::WORDS.keys.join('|')})\}/i

        # @param text [String, Array, Hash] texts as they stand in the data
        # @param conventions [Conventions]
        # @return [String, Array, Hash] the same in the class's words
        def self.fill(text, conventions = Conventions.default)
          case text
          when String then text.gsub(PLACES) { word(Regexp.last_match(1), conventions) }.freeze
          when Array then text.map { |line| fill(line, conventions) }.freeze
          when Hash then text.transform_values { |line| fill(line, conventions) }.freeze
          else text
          end
        end

        # A place that begins with a capital begins a name or a sentence.
        def self.word(place, conventions)
          name = place.downcase.to_sym
          word = English::WORDS.key?(name) ? English.word(name, conventions) : conventions.word(name)
          place == place.capitalize ? word.capitalize : word
        end
        private_class_method :word
      end
    end
  end
end
