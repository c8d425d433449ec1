# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # How an exercise is drawn, one class for each way of asking.
      module Cells
        # @param sheet [Sheet]
        # @return [Base] the one that its task needs
        def self.of(sheet)
          return Draw.new(sheet) if sheet.task.notation == :hands

          by_sight = { digits: Rewrite, words: Rewrite, numerals: Fact, time_of_day: Fact, dial_and_words: Spot }
          by_sight.fetch(sheet.task.sees, Read).new(sheet)
        end
      end
    end
  end
end
