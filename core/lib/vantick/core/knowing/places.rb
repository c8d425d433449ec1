# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # How likely each place on the {Graph} is for one child, and how long each part of it lasts. The form of keeping is half-life
      # regression (Settles and Meeder, "A trainable spaced repetition model for language learning", ACL 2016; from memory).
      class Places
        KEEP = TABLE[:keep].freeze
        # What all chances come to, within which nothing is lost by the way that numbers are kept.
        RANGE = (1e-12..1e12)

        def initialize
          # They come to `whole`, not to 1: so an answer touches no more of them than it speaks of.
          @chances = Graph.begin.dup
          @whole = 1.0
          @since = {}
          @half = {}
          @right = {}
          @reach = {}
        end

        def initialize_copy(other)
          super
          @chances = @chances.dup
          @since = @since.dup
          @half = @half.dup
          @right = @right.dup
          @reach = {}
        end

        # @param part [Symbol]
        # @return [Float] 0..1, that it is known, and with it all that it rests on
        def reach(part) = @reach[part] ||= @chances.values_at(*Graph.holding(part)).sum / @whole

        # @param part [Symbol]
        # @return [Float] 0..1, that it is not known though all that it rests on is
        def next_up(part) = @chances.values_at(*Graph.steps_up(part).first).sum / @whole

        # @param part [Symbol]
        # @return [Float] its half-life, in days
        def half(part) = @half.fetch(part, KEEP[:begin].to_f)

        # @param part [Symbol]
        # @param day [Integer]
        # @return [Float] 0..1, that what was known when it was last met is still there
        def retention(part, day) = KEEP[:floor] + ((1 - KEEP[:floor]) * fresh(part, day))

        # @param part [Symbol]
        # @param day [Integer]
        # @return [Float] 0..1, that it comes without being gone over: what was known is soon there again when it does not
        def fresh(part, day) = Places.fresh(day, @since[part], half(part))

        # @return [Hash{Symbol => Array(Integer, Float)}] by part that was met, the day it was met last, and its half-life
        def fading = @since.to_h { |part, since| [part, [since, half(part)]] }

        # @param day [Integer]
        # @param since [Integer, nil] when it was met last
        # @param half [Float] its half-life
        # @return [Float] 0..1
        def self.fresh(day, since, half) = since && day > since ? 0.5**((day - since) / half) : 1.0

        # Days go by for one part: what is lost takes with it what rests on it.
        # @param part [Symbol]
        # @param day [Integer]
        def fade(part, day)
          kept = retention(part, day)
          return unless kept < 1

          move(Graph.steps_down(part), 1 - kept)
          @since[part] = day
        end

        # Bayes' rule: an answer so much more likely where the part is known.
        # @param part [Symbol]
        # @param ratio [Float]
        def weigh(part, ratio) = lift(Graph.holding(part), ratio, reach(part))

        # The same for several parts at once.
        # @param parts [Array<Symbol>]
        # @param ratio [Float]
        def weigh_all(parts, ratio)
          holding = parts.map { |part| Graph.holding(part) }.reduce(:&)
          lift(holding, ratio, @chances.values_at(*holding).sum / @whole)
        end

        # @param part [Symbol]
        # @param chance [Float] 0..1, of learning it where all that it rests on is there
        # @param day [Integer]
        def learn(part, chance, day)
          fade(part, day)
          move(Graph.steps_up(part), chance)
          @since[part] = day
        end

        # What it rests on is practised with it.
        # @param part [Symbol]
        # @param day [Integer]
        def went_right(part, day)
          return if @right[part] == day

          longer(part, KEEP[:grows], day)
          Graph.beneath(part).each { |below| longer(below, KEEP[:beneath], day) }
        end

        # @param part [Symbol]
        # @param day [Integer]
        def went_wrong(part, day)
          @half[part] = [half(part) * KEEP[:wrong], KEEP[:least].to_f].max
          @since[part] = day
        end

        # @param days [Float] a half-life
        # @param factor [Float]
        # @return [Float] that from the next day on which it goes right
        def self.longer(days, factor = KEEP[:grows]) = [days * factor, KEEP[:most].to_f].min

        private

        # @param share [Float] what all that are lifted come to
        def lift(holding, ratio, share)
          @reach = {}
          holding.each { |at| @chances[at] *= ratio }
          @whole *= 1 + ((ratio - 1) * share)
          rescale unless RANGE.cover?(@whole)
        end

        def rescale
          whole = @chances.sum
          @chances.map! { |chance| chance / whole }
          @whole = 1.0
        end

        # Once a day.
        def longer(part, factor, day)
          @half[part] = Places.longer(half(part), factor) if @right[part] != day
          @right[part] = day
          @since[part] = day
        end

        def move((from, to), share)
          @reach = {}
          from.each_with_index do |at, index|
            moved = @chances[at] * share
            @chances[at] -= moved
            @chances[to[index]] += moved
          end
        end
      end
    end
  end
end
