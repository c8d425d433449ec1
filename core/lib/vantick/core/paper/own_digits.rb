# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # One child's digits as a person or the reader settled them before. A one that might be a seven is a one where this child's ones look
      # like that.
      class OwnDigits
        # A digit's features as bytes: so many steps for a whole.
        STEPS = 600
        # How much likelier a digit is where this child wrote one so far from it (1 less the cosine): the logarithm of it, at no distance
        # and for each .1 more. Half of what a regression on digits of hands of our own making says (`bench/digits/own.rb`: 11.9 and 5.1),
        # as a child's hand is less even.
        NEAR = 5.9
        FAR = 2.6
        # It counts for so much at most, either way, as a person may have misread one too (judgement).
        MOST = 5.0
        # Each digit is compared with the last ones alone.
        KEPT = 8
        # Other answers tell of no digit.
        DIGITS = /\A[\d:., ]+\z/

        # @param features [Array<Float>] of {DigitFeatures}
        # @return [String] the same in bytes, as it is kept
        def self.form(features)
          size = Math.sqrt(features.sum { |value| value * value })
          features.map { |value| (value / size * STEPS).round.clamp(0, 255) }.pack("C*").freeze
        end

        # @param fields [Array<Array(Array<String, nil>, String)>] the forms in each field's boxes, nothing where one is empty, and the
        #   answer that stands; the newest first
        # @return [OwnDigits] of those fields whose answer has a digit for each form
        # @example
        #   OwnDigits.from([[[nil, seven, four, five], "7:45"]])
        def self.from(fields)
          new(fields.flat_map do |forms, answer|
            digits = answer.scan(/\d/).map(&:to_i)
            answer.match?(DIGITS) && digits.length == forms.compact.length ? forms.compact.zip(digits) : []
          end)
        end

        # @param one [Array<Integer>] bytes of a form
        # @param other [Array<Integer>]
        # @return [Float] 0.0 the same, 1.0 nothing in common
        def self.apart(one, other)
          both = own = others = 0
          one.each_with_index do |value, at|
            second = other[at]
            both += value * second
            own += value * value
            others += second * second
          end
          1 - (both / Math.sqrt(own * others))
        end

        # @param known [Array<Array(String, Integer)>] forms, and the digit that each is; the newest first
        def initialize(known)
          @forms = known.group_by(&:last).transform_values { |some| some.first(KEPT).map { |form, _| form.unpack("C*").freeze }.freeze }
          @forms.freeze
          freeze
        end

        NONE = new([])

        # @param form [String] of a digit to be read
        # @param chances [Array<Float>] of each digit, and last that it is none
        # @return [Array<Float>] the same with what is known of this child
        def weighed(form, chances)
          return chances if @forms.empty?

          bytes = form.unpack("C*")
          raised = chances.each_with_index.map { |chance, digit| chance * factor(bytes, digit) }
          raised.map { |chance| chance / raised.sum }
        end

        private

        # Nothing is known of digits that were not seen yet.
        def factor(bytes, digit)
          forms = @forms[digit] or return 1.0
          Math.exp((NEAR - (FAR * 10 * forms.map { |form| OwnDigits.apart(form, bytes) }.min)).clamp(-MOST, MOST))
        end
      end
    end
  end
end
