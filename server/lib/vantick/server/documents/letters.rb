# frozen_string_literal: true

require "ttfunk"
require "ttfunk/subset"

module Vantick
  module Server
    module Documents
      # What the typeface of the sheets has, and how wide words are in it.
      class Letters
        FOLDER = File.join(ROOT, "fonts")
        FILES = { false => File.join(FOLDER, "Andika-Regular.ttf"), true => File.join(FOLDER, "Andika-Bold.ttf") }.freeze
        # No child reads smaller ones, in points.
        LEAST = 10

        # @param bold [Boolean]
        # @return [Letters] read once
        def self.of(bold) = (@read ||= {})[bold] ||= new(FILES.fetch(bold))

        # @param text [String]
        # @return [Boolean] whether the typeface has all of its letters
        def self.all?(text) = of(true).all?(text) && of(false).all?(text)

        def initialize(file)
          @font = TTFunk::File.open(file)
          @codes = @font.cmap.unicode.first
          @widths = Hash.new { |widths, letter| widths[letter] = advance(letter) }
        end

        def all?(text) = text.each_char.all? { |letter| @codes[letter.ord].positive? }

        # @param letters [String]
        # @return [String] a file of the typeface with these letters alone
        def subset(letters)
          subset = TTFunk::Subset.for(@font, :unicode)
          letters.each_char.uniq.each { |letter| subset.use(letter.ord) }
          subset.encode
        end

        # @param words [String]
        # @param size [Numeric] points
        # @return [Float] points
        def width(words, size) = words.each_char.sum { |letter| @widths[letter] } * size

        # @param texts [Array<String>]
        # @param width [Numeric] that the widest of them has to fit in, in points
        # @param usual [Numeric] points
        # @return [Numeric] the usual size, or a smaller one; not under {LEAST}
        def fitting(texts, width, usual)
          widest = texts.map { |text| width(text, usual) }.max || 0
          widest <= width ? usual : [usual * width / widest, LEAST].max
        end

        # @return [String] the words, or their beginning
        def cut(words, width, size)
          return words if width(words, size) <= width

          kept = words.length.downto(0).find { |length| width("#{words[0, length].rstrip}…", size) <= width } || 0
          kept.zero? ? "" : "#{words[0, kept].rstrip}…"
        end

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
