# frozen_string_literal: true

require "ttfunk"

module Vantick
  module Server
    module Documents
      # How wide words are in the typeface of the sheets.
      class Letters
        FOLDER = File.join(ROOT, "fonts")
        FILES = { false => File.join(FOLDER, "Andika-Regular.ttf"), true => File.join(FOLDER, "Andika-Bold.ttf") }.freeze

        # @param bold [Boolean]
        # @return [Letters] read once
        def self.of(bold) = (@read ||= {})[bold] ||= new(FILES.fetch(bold))

        def initialize(file)
          @font = TTFunk::File.open(file)
          @codes = @font.cmap.unicode.first
          @widths = Hash.new { |widths, letter| widths[letter] = advance(letter) }
        end

        # @param words [String]
        # @param size [Numeric] points
        # @return [Float] points
        def width(words, size) = words.each_char.sum { |letter| @widths[letter] } * size

        # @return [Array<String>] the words in lines no longer than a width
        def lines(words, width, size)
          words.split.each_with_object([+""]) do |word, lines|
            longer = lines.last.empty? ? word : "#{lines.last} #{word}"
            width(longer, size) <= width || lines.last.empty? ? lines[-1] = longer : lines << word
          end
        end

        private

        def advance(letter)
          glyph = @codes[letter.ord]
          @font.horizontal_metrics.for(glyph).advance_width / @font.header.units_per_em.to_f
        end
      end
    end
  end
end
