# frozen_string_literal: true

module Vantick
  module Core
    module Judging
      # What some answers say of one misreading.
      class Evidence
        # From which share of its chances on hits are the child's way and no slip (judgement: more than one in three).
        SHARE = 0.34

        # @return [Misreading]
        attr_reader :misreading
        # @return [Integer] answers where it predicts something other than the right answer
        attr_reader :chances
        # @return [Integer] wrong answers that it predicts
        attr_reader :hits
        # @return [Integer] hits that no other misreading predicts, or seldom ones alone
        attr_reader :own_hits

        # @param answers [Array<MarkedAnswer>] blank and unreadable ones say nothing and are left out
        # @return [Array<Evidence>] a piece for each misreading with a hit, own hits first; of seldom ones only what
        #   nothing commoner explains
        def self.from(answers)
          telling = answers.select(&:telling?)
          found = Reading::Misreading.all.map { |misreading| new(misreading, telling) }
          found.select(&:reported?).sort_by.with_index { |evidence, at| [*evidence.rank, at] }
        end

        # @param misreading [Misreading]
        # @param answers [Array<MarkedAnswer>] those that say something
        def initialize(misreading, answers)
          @misreading = misreading
          # An answer in the other form than the one asked can show what its task would not.
          @chances = answers.count { |answer| misreading.chance?(answer.time, answer.task) || answer.misreadings.include?(misreading.id) }
          hit = answers.select { |answer| answer.misreadings.include?(misreading.id) }
          @hits = hit.length
          @reported = hit.any? { |answer| answer.causes.include?(misreading.id) }
          @own_hits = hit.count { |answer| answer.causes == [misreading.id] }
          freeze
        end

        # @return [Array] smaller comes first: most own hits, most hits, then the larger share of chances
        def rank = [-own_hits, -hits, chances]

        # @return [Boolean]
        def reported? = @reported

        # Whether it is more than one chance agreement (judgement): an answer that nothing else explains, or two answers the same way,
        # and in enough of the answers where it could have shown.
        # @return [Boolean]
        def shown? = (own_hits.positive? || hits >= 2) && often?

        # @return [Boolean] whether it showed in enough of its chances, see {SHARE}
        def often? = hits >= SHARE * chances
      end
    end
  end
end
