# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Texts that speak of the two sides of a dial, in a class's own words: `%{past}` and `%{to}` stand in the data where a
      # class may say something else. "Half past" is said by all, and stays.
      module ClassWords
        PLACES = /%\{(past|to)\}/i

        # @param text [String, Array, Hash] texts as they stand in the data
        # @param conventions [Conventions]
        # @return [String, Array, Hash] the same in the class's words
        def self.fill(text, conventions = Conventions.default)
          case text
          when String then text.gsub(PLACES) { word(Regexp.last_match(1), conventions) }.freeze
          when Array then text.map { |one| fill(one, conventions) }.freeze
          when Hash then text.transform_values { |one| fill(one, conventions) }.freeze
          else text
          end
        end

        # A place that begins with a capital begins a name.
        def self.word(place, conventions)
          said = conventions.word(place.downcase.to_sym)
          place == place.capitalize ? said.capitalize : said
        end
        private_class_method :word
      end
    end
  end
end
