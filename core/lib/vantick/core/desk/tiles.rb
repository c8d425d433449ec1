# frozen_string_literal: true

module Vantick
  module Core
    # The words that a child chooses from, in the class's own words: every word that the times of a step are said with.
    module Tiles
      class << self
        # @param step [Step]
        # @param conventions [Conventions]
        # @param whole [Boolean] whether hours are named as well, or minutes alone
        # @return [Array<Array<String>>] numbers up to twelve, larger numbers, all other words; worked out once
        def for(step, conventions = Conventions.default, whole: true)
          @made ||= {}
          @made[[step.id, conventions, whole]] ||= sorted(words(step, conventions, whole), conventions)
        end

        private

        # Both sides always: past is no choice for a child who knows that only to will do.
        def words(step, conventions, whole)
          said = step.pool.flat_map do |time|
            (whole ? Phrase.usual(time, conventions) : Counted.usual(time).words(conventions)).split(/[ -]/)
          end
          sides = sides(conventions)
          said.uniq | (said.intersect?(sides) ? sides : [])
        end

        def sides(conventions) = %i[past to].map { |side| conventions.word(side) }

        def sorted(words, conventions)
          numbers = (1..59).map { |number| NumberWords.standard.spell(number) }
          said = Phrase::WORDS.values_at(:quarter, :half) + sides(conventions) + Phrase::WORDS.values_at(:minutes, :minute, :oclock)
          [numbers.first(12), numbers.drop(12), said].map { |row| (row & words).freeze }.reject(&:empty?).freeze
        end
      end
    end
  end
end
