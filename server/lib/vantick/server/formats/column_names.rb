# frozen_string_literal: true

require "yaml"

module Vantick
  module Server
    module Formats
      # What the columns of a list of children are called, and what stands in a column so called.
      module ColumnNames
        TABLE = YAML.safe_load_file(File.join(__dir__, "columns.yml"), symbolize_names: true).freeze
        WORDS = TABLE[:names].flat_map { |kind, words| words.map { |word| [word, kind] } }.to_h.freeze
        # The longest first: "forename" is not "name" with something before it.
        WORD = Regexp.union(WORDS.keys.sort_by { |word| -word.length }).freeze
        ALL = /\A(?:#{WORD})+\z/
        TITLE = /\b(?:#{TABLE[:title].join('|')})\b/i

        class << self
          # @param name [String] of a column
          # @return [Symbol, nil] `preferred`, `given` or `family` for a part of the name, `full` for both; nothing where it has none
          # @example
          #   ColumnNames.kind("Pupil's first name") # => :given
          #   ColumnNames.kind("Last, First")        # => :full
          #   ColumnNames.kind("Teacher's name")     # => nil
          def kind(name)
            letters = letters(name)
            return unless letters.match?(ALL)

            kinds = letters.scan(WORD).map { |word| WORDS[word] }.uniq - [:beside]
            return if kinds.empty?
            return kinds.include?(:given) ? :full : :family if kinds.include?(:family)

            (%i[preferred given] & kinds).first || :full
          end

          # @param name [String]
          # @param what [Symbol] `id` or `class`
          # @return [Integer, nil] how good a name it is for that, 0 the best
          def place(name, what) = TABLE.fetch(what).index(letters(name))

          # @param line [String] over a list
          # @return [Boolean]
          def title?(line) = line.match?(TITLE)

          private

          def letters(name) = name.downcase.gsub(/[^[:alnum:]]/, "")
        end
      end
    end
  end
end
