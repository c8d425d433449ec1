# frozen_string_literal: true

require "json"

module Vantick
  module Core
    module Paper
      # Reads a handwritten digit: a small network with one hidden layer, whose weights were trained on an open set of digits, varied, on
      # digits in the forms that schools teach, on digits turned round, and on what is no digit (`bench/digits/train.rb` has the set, the
      # split and the error).
      class DigitReader
        FILE = File.join(Facts::DataFile::FOLDER, "digits.json")
        # From this chance on a digit is sure: of varied digits that no weight was trained on, one in 900 of these is wrong.
        SURE = 0.9
        # Digits that a box may hold, the likeliest: others are next to never it (judgement).
        GUESSES = 3
        # Where what is no digit is likelier than this, nothing is sure (judgement: half).
        NONE = 0.5
        DIGITS = (0..9)
        # What the network tells apart: the digits, what is no digit, and the digits that look otherwise turned round, in this order.
        NONE_AT = 10
        TURNED = [2, 3, 4, 5, 6, 7, 9].freeze

        # @!attribute digit [Integer, nil] 0..9; nothing where the box is empty
        # @!attribute chance [Float] 0.0..1.0
        # @!attribute mirrored [Boolean] whether it was written the wrong way round
        # @!attribute guesses [Array<Integer>] the likeliest first
        # @!attribute chances [Hash{Integer => Float}] of each of them
        # @!attribute form [String, nil] as {OwnDigits} keeps it
        Read = Struct.new(:digit, :chance, :mirrored, :guesses, :chances, :form, keyword_init: true) do
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
        # @param own [OwnDigits] what is known of this child's
        # @return [Read] a digit turned round is read as what it means
        def read(ink, own = OwnDigits::NONE)
          features = DigitFeatures.of(ink) or return BLANK
          form = OwnDigits.form(features)
          kinds = kinds(features)
          chances = own.weighed(form, together(kinds))
          return Read.new(**SMUDGE.to_h, form:).freeze if chances[NONE_AT] > NONE

          described(chances, form, kinds)
        end

        # @param features [Array<Float>]
        # @return [Array<Float>] the chance of each digit, turned round or not, and last that it is none
        def chances(features) = together(kinds(features))

        private

        # The chance of each kind that the network tells apart.
        def kinds(features)
          hidden = weighed(@hidden, features).map { |value| value.positive? ? value : 0.0 }
          scores = weighed(@output, hidden)
          most = scores.max
          powers = scores.map { |score| Math.exp(score - most) }
          powers.map { |power| power / powers.sum }
        end

        def together(kinds)
          kinds.first(NONE_AT + 1).each_with_index.map { |chance, digit| chance + turned(kinds, digit) }
        end

        def turned(kinds, digit) = TURNED.index(digit)&.then { |at| kinds[NONE_AT + 1 + at] } || 0.0

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

        def described(chances, form, kinds)
          order = DIGITS.sort_by { |digit| -chances[digit] }.first(GUESSES)
          Read.new(digit: order.first, chance: chances[order.first], mirrored: turned(kinds, order.first) > kinds[order.first],
                   guesses: order, form:, chances: order.to_h { |digit| [digit, chances[digit]] }).freeze
        end
      end
    end
  end
end
