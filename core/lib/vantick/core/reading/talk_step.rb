# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # One short sentence of a talk-through, and what lights up on the dial while it is said.
      class TalkStep
        # Which part of the reading a step belongs to.
        PARTS = %i[hour minutes coming say].freeze
        # What can light up: a hand, the gap between two numerals, a sweep of numerals by fives, ticks, a
        # numeral, a side of the dial.
        LIGHTS = %i[hand gap sweep ticks numeral side].freeze

        # @return [Symbol] one of {PARTS}
        attr_reader :part
        # @return [String]
        attr_reader :sentence
        # @return [Array<Hash>] each with a `kind` of {LIGHTS}; minutes are places on the dial, 0..60. A sweep and
        #   ticks also have `counts`: pairs of a place and the number said there
        attr_reader :lights
        # @return [Symbol, nil] of steps with minutes the way of counting, a key of words.yml's talk
        attr_reader :way

        # @param part [Symbol] one of {PARTS}
        # @param sentence [String] what is said
        # @param lights [Array<Hash>] what is lit on the dial, each with a `kind` of {LIGHTS}
        # @param way [Symbol, nil] the way of counting, of steps with minutes
        def initialize(part, sentence, *lights, way: nil)
          @way = way
          @part = part
          @sentence = sentence
          @lights = lights.map(&:freeze).freeze
          freeze
        end

        # @return [Hash]
        def to_h = { part:, sentence:, lights: }
      end
    end
  end
end
