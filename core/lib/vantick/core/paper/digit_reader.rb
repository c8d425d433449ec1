# frozen_string_literal: true

require "json"

module Vantick
  module Core
    module Paper
      # Reads a handwritten digit: a small network with one hidden layer, whose weights were trained on an open set of digits, varied, and
      # on what is no digit (`bench/digits/train.rb` has the set, the split and the error).
      class DigitReader
        FILE = File.join(Facts::DataFile::FOLDER, "digits.json")
        # From this chance on a digit is sure: of varied digits that no weight was trained on, one in 900 of these is wrong.
        SURE = 0.9
        # The mirrored picture has to be so much likelier to be what was written.
        MIRRORED = 12
        # Digits that a box may hold, the likeliest: others are next to never it (judgement).
        GUESSES = 3
        # Where what is no digit is likelier than this, nothing is sure (judgement: half).
        NONE = 0.5
        DIGITS = (0..9)
        # Digits that children turn round.
        TURNED = [1, 2, 3, 4, 5, 6, 7, 9].freeze

        # @!attribute digit [Integer, nil] 0..9; nothing where the box is empty
        # @!attribute chance [Float] 0.0..1.0
        # @!attribute mirrored [Boolean] whether it was written the wrong way round
        # @!attribute guesses [Array<Integer>] the likeliest first
        # @!attribute chances [Hash{Integer => Float}] of each of them
        Read = Struct.new(:digit, :chance, :mirrored, :guesses, :chances, keyword_init: true) do
          def sure? = chance >= SURE
        end
        BLANK = Read.new(digit: nil, chance: 1.0, mirrored: false, guesses: [].freeze, chances: {}.freeze).freeze
        # Something that is no digit: a dot, or more than a box holds.
        SMUDGE = Read.new(digit: nil, chance: 0.0, mirrored: false, guesses: [].freeze, chances: {}.freeze).freeze

        class << self
          # @return [DigitReader] read once
          def standard = @standard ||= new(JSON.parse(File.read(FILE)))
        end

        # @param weights [Hash] `hidden` and `output`, each with `scale`, `weights` as bytes in base64, and `bias`
        def initialize(weights)
          @hidden = layer(weights["hidden"])
          @output = layer(weights["output"])
        end

        # @param ink [Array<Array<Float>>] rows, 0 paper to 1 ink, without the box round it
        # @return [Read]
        def read(ink)
          features = DigitFeatures.of(ink) or return BLANK
          chances = chances(features)
          turned = likelier_mirrored(ink, chances)
          described(turned || chances, mirrored: !turned.nil?)
        end

        # @param features [Array<Float>]
        # @return [Array<Float>] the chance of each digit, and last that it is none
        def chances(features)
          hidden = weighed(@hidden, features).map { |value| value.positive? ? value : 0.0 }
          scores = weighed(@output, hidden)
          most = scores.max
          powers = scores.map { |score| Math.exp(score - most) }
          powers.map { |power| power / powers.sum }
        end

        private

        def layer(given)
          values = given["weights"].unpack1("m").unpack("c*")
          inputs = values.length / given["bias"].length
          rows = values.map { |value| value * given["scale"] }.each_slice(inputs).map(&:freeze)
          [rows.freeze, given["bias"].freeze]
        end

        def weighed(layer, inputs)
          rows, bias = layer
          used = inputs.each_index.reject { |at| inputs[at].zero? }
          rows.each_with_index.map { |row, at| used.sum(bias[at]) { |place| row[place] * inputs[place] } }
        end

        # Only where it is doubtful as it stands.
        def likelier_mirrored(ink, chances)
          return if chances.max >= SURE

          turned = chances(DigitFeatures.of(ink.map(&:reverse)))
          digit = turned.first(10).each_with_index.max.last
          turned if TURNED.include?(digit) && turned.max >= SURE && turned.max > chances.max * (1 + (MIRRORED * 0.01))
        end

        def described(chances, mirrored:)
          return SMUDGE if chances.fetch(10, 0.0) > NONE

          order = DIGITS.sort_by { |digit| -chances[digit] }.first(GUESSES)
          Read.new(digit: order.first, chance: chances[order.first], mirrored:, guesses: order,
                   chances: order.to_h { |digit| [digit, chances[digit]] }).freeze
        end
      end
    end
  end
end
