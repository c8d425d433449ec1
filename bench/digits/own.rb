# frozen_string_literal: true

# How far apart two digits of one child are where they are the same and where they are not: what Core::Paper::OwnDigits goes by.
#   ruby -I core/lib bench/digits/own.rb
require "vantick/core"
require_relative "strokes"

module Bench
  # A logistic regression of "the same digit" on the distance to the nearest of a child's known ones.
  class OwnDistances
    Paper = Vantick::Core::Paper
    HANDS = 60
    KNOWN = 4
    ASKED = 3
    STEPS = 4_000

    def initialize(random)
      @pairs = Array.new(HANDS) { of_hand(Strokes.new(random, one_hand: true)) }.flatten(1)
    end

    # @return [Array(Float, Float)] at no distance, and for each tenth
    def fitted
      near = far = 0.0
      STEPS.times do
        errors = @pairs.map { |apart, same| [apart * 10, same - (1 / (1 + Math.exp(-(near + (far * apart * 10)))))] }
        weighed = errors.zip(weights).map { |(apart, error), weight| [apart, error * weight] }
        near += 2 * weighed.sum(&:last)
        far += 2 * weighed.sum { |apart, error| apart * error }
      end
      [near, far]
    end

    private

    # As many of the same as of others.
    def weights
      @weights ||= begin
        same = @pairs.count { |_, one| one == 1 }
        @pairs.map { |_, one| 0.5 / (one == 1 ? same : @pairs.length - same) }
      end
    end

    def of_hand(strokes)
      forms = (0..9).to_h { |digit| [digit, Array.new(KNOWN + ASKED) { form(strokes.digit(digit)) }] }
      forms.flat_map do |digit, own|
        own.last(ASKED).product(forms.to_a).map do |asked, (other, known)|
          [known.first(KNOWN).map { |one| Paper::OwnDigits.apart(one, asked) }.min, other == digit ? 1 : 0]
        end
      end
    end

    def form(ink) = Paper::OwnDigits.form(Paper::DigitFeatures.of(ink)).unpack("C*")
  end
end

near, far = Bench::OwnDistances.new(Random.new(1)).fitted
puts "at no distance #{near.round(2)}, for each .1 #{far.round(2)}"
