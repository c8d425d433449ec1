# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # The words that a child builds a time from, in the class's own words, each by what it is for: how many, which side, which
      # hour. A strip holds every word that the times of a step are said with in that place.
      module Strips
        # @!attribute part [Symbol] one of {PARTS}
        # @!attribute label [String] what it is for, in a child's words
        # @!attribute words [Array<String>]
        # @!attribute tens [Array<String>] of these, numbers that another may follow: "twenty three"
        # @!attribute units [Array<String>] of these, what follows a number: "minutes"
        # @!attribute after_hour [Array<String>] of these, what is said behind the hour, with nothing counted: "o'clock"
        Strip = Struct.new(:part, :label, :words, :tens, :units, :after_hour, keyword_init: true)
        PARTS = %i[count side hour].freeze
        LABELS = Facts::DataFile.load("desk")[:strips]

        class << self
          # @param step [Step]
          # @param conventions [Conventions]
          # @param whole [Boolean] whether hours are named as well, or minutes alone
          # @return [Array<Strip>] in the order in which a time is said; none is empty; worked out once
          def for(step, conventions = Wording::Conventions.default, whole: true)
            @made ||= {}
            @made[[step.id, conventions, whole]] ||= strips(step, conventions, whole)
          end

          private

          def strips(step, conventions, whole)
            counted = step.pool.map { |time| Wording::Counted.usual(time) }.uniq
            words = { count: counts(counted, conventions), side: sides(counted, conventions), hour: whole ? hours(step) : [] }
            labels = format_labels(conventions)
            found = PARTS.map { |part| strip(part, labels.fetch(part), words.fetch(part)) }
            found.reject { |strip| strip.words.empty? }.freeze
          end

          def strip(part, label, words)
            counted = part == :count
            tens = counted ? Wording::WrittenWords::TENS.filter_map { |ten| Wording::NumberWords.standard.simple[ten] } & words : []
            units = counted ? Wording::Phrase::WORDS.values_at(:minute, :minutes) & words : []
            after_hour = part == :side ? [Wording::Phrase::WORDS[:oclock]] & words : []
            Strip.new(part:, label:, words: words.freeze, tens:, units:, after_hour:).freeze
          end

          def format_labels(conventions)
            sides = %i[past to].to_h { |side| [side, conventions.word(side)] }
            LABELS.transform_values { |label| format(label, **sides) }
          end

          # Smaller numbers first, quarters and halves after them.
          def counts(counted, conventions)
            words = counted.reject { |phrase| phrase.side == :oclock }.flat_map { |phrase| phrase.words(conventions).split(/[ -]/) }.uniq
            words -= both(conventions)
            numbers = (1..59).map { |number| Wording::NumberWords.standard.spell(number) }
            (numbers & words) + (words - numbers)
          end

          # Both sides always: past is no choice for a child who knows that only to will do.
          def sides(counted, conventions)
            oclock = counted.any? { |phrase| phrase.side == :oclock } ? [Wording::Phrase::WORDS[:oclock]] : []
            (counted.all? { |phrase| phrase.side == :oclock } ? [] : both(conventions)) + oclock
          end

          def both(conventions) = %i[past to].map { |side| conventions.word(side) }

          # In the order of the dial's numerals.
          def hours(step)
            named = step.pool.map { |time| Wording::SpokenTime.usual(time).hour }.uniq
            (1..12).select { |hour| named.include?(hour) }.map { |hour| Wording::NumberWords.standard.spell(hour) }
          end
        end
      end
    end
  end
end
