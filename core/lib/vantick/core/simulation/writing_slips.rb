# frozen_string_literal: true

module Vantick
  module Core
    module Simulation
      # Writes an answer as a child may who reads rightly and writes hastily.
      module WritingSlips
        # Left out only where no spoken time is left: "five ten" is 5:10.
        SIDE = /(?<=quarter|half|minutes|minute) (?:past|to)\b/
        DIGITS = [->(text) { text.tr(":", ".") }, ->(text) { text.delete(":") }, ->(text) { text.sub(/:0(\d)\z/, ':\1') }].freeze
        WORDS = [->(text) { text.sub("quarter", "quater") }, ->(text) { text.sub("half", "harf") },
                 ->(text) { text.sub("o'clock", "oclock") }, ->(text) { text.sub(SIDE, "") }].freeze

        # @param text [String]
        # @param notation [Symbol] `:digits` or `:words`
        # @param random [Random]
        # @return [String] the text with a slip, where one fits it
        def self.write(text, notation, random)
          slips = { digits: DIGITS, words: WORDS }.fetch(notation, [])
          slips.map { |slip| slip.call(text) }.reject { |written| written == text }.sample(random:) || text
        end
      end
    end
  end
end
