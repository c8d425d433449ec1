# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # How an exercise is drawn, one class for each way of asking.
      module Cells
        # @param sheet [Sheet]
        # @param larger [Boolean] whether its dials are large ones
        # @return [Base] the one that its task needs
        def self.of(sheet, larger: false)
          return Draw.new(sheet, larger:) if sheet.task.notation == :hands

          by_sight = { digits: Rewrite, words: Rewrite, numerals: Fact, time_of_day: Fact, dial_and_words: Spot }
          by_sight.fetch(sheet.task.sees, Read).new(sheet, larger:)
        end
      end
    end
  end
end
