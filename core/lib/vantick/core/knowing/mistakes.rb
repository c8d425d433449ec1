# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # Which mistakes a child has: a chance for each of the catalogue, by itself. One that shows gives its own answer in the place of what
      # the child knows; old ones fade.
      class Mistakes
        ROW = TABLE[:mistakes].freeze
        SHOWS = ROW[:shows]
        LEAST = 1e-5
        MOST = 0.999

        class << self
          # @return [Array<Misreading>]
          def all = @all ||= Reading::Misreading.all

          # @param misreading [Misreading]
          # @return [Integer] its place
          def place(misreading) = (@places ||= all.each_with_index.to_h { |mistake, at| [mistake.id, at] })[misreading.id]

          # @param ids [Array<Symbol>]
          # @return [Array<Integer>]
          def places(ids) = ids.filter_map { |id| place(Reading::Misreading.find(id)) }

          # @return [Array<Float>] before any answer
          def begin
            @begin ||= begin
              weights = all.map { |mistake| mistake.seldom? ? ROW[:seldom] : 1.0 }
              weights.map { |weight| ROW[:any] * weight / weights.sum }.freeze
            end
          end

          # @param task [Task]
          # @param time [DialTime, DayTime]
          # @return [Hash{Integer => Float}] those that can show there, and how likely each of their wrong answers is then
          def at(task, time)
            Reading::Predictions.of(task).at(time).to_h { |id, wrong| [place(Reading::Misreading.find(id)), 1.0 / wrong.length] }.freeze
          end
        end

        # What shows at an item, before it is known whether it did.
        # @!attribute none [Float] the chance that no mistake gives the answer
        # @!attribute by_mistake [Float] the chance that one does, and gives the answer that was given
        # @!attribute weights [Float] sum of all that could show
        # @!attribute hits [Float] the part of it that gives this answer
        # @!attribute hit [Hash{Integer => Float}] those that give it
        Acting = Struct.new(:none, :by_mistake, :weights, :hits, :hit)
        NO_HIT = {}.freeze
        NO_ACTING = Acting.new(1.0, 0.0, 0.0, 0.0, NO_HIT).freeze

        def initialize
          @chances = Mistakes.begin.dup
          @days = Array.new(@chances.length)
        end

        def initialize_copy(other)
          super
          @chances = @chances.dup
          @days = @days.dup
        end

        # @param place [Integer]
        # @return [Float] 0..1
        def chance(place) = @chances[place]

        # @param least [Float]
        # @return [Array<Array(Integer, Float)>] those that are likelier, with their chances
        def over(least)
          @over ||= @chances.each_index.filter_map { |at| [at, @chances[at]] if @chances[at] > least }
        end

        # @param place [Integer]
        # @param day [Integer]
        # @return [Float] 0..1, what is left of it then
        def chance_on(place, day)
          since = @days[place]
          since && day > since ? faded(@chances[place], Mistakes.begin[place], left(day - since)) : @chances[place]
        end

        # @param item [Item]
        # @param marked [MarkedAnswer, nil] nothing where only the chances are asked for
        # @param day [Integer]
        # @return [Acting]
        def acting(item, marked, day)
          fade(item, day)
          hit = hits(item, marked)
          none = 1.0
          weights = hits = 0.0
          item.mistakes.each do |at|
            weight = @chances[at] * SHOWS
            none *= 1 - weight
            weights += weight
            hits += weight * hit[at] if hit[at]
          end
          Acting.new(none, weights.positive? ? (1 - none) * hits / weights : 0.0, weights, hits, hit)
        end

        # Bayes' rule for each of those that could show.
        # @param item [Item]
        # @param acting [Acting]
        # @param other [Float] the chance of the answer where none of them shows
        def follow(item, acting, other)
          @over = nil
          item.mistakes.each do |at|
            next if @chances[at] < ROW[:ruled_out] && !acting.hit[at]

            @chances[at] =
              faded(after(@chances[at], acting, acting.hit[at] || 0.0, other), Mistakes.begin[at], ROW[:kept]).clamp(LEAST, MOST)
          end
        end

        # @param askings [Array<Asking>]
        # @param left [Float] 0..1, how much is left of those that lie in their way
        def ease(askings, left)
          @over = nil
          over(Belief::IN_THE_WAY[:chance]).each do |place, chance|
            @chances[place] = [chance * left, LEAST].max if askings.any? { |asking| Hindrance.in_the_way?(place, asking) }
          end
          @over = nil
        end

        # A teacher says that these kinds of times are known: then no mistake lies in their way.
        # @param kinds [Array<Symbol>]
        # @param weighed [Weighed]
        def denied(kinds, weighed)
          @over = nil
          askings = kinds.flat_map { |kind| Asking.wanted(kind) }
          @chances.each_index do |at|
            next if askings.none? { |asking| Hindrance.in_the_way?(at, asking) }

            @chances[at] = (1 - weighed.after(1 - @chances[at], 1 - @chances[at])).clamp(LEAST, MOST)
          end
        end

        private

        def hits(item, marked)
          return NO_HIT if marked.nil? || marked.misreadings.empty?

          Mistakes.places(marked.misreadings).select { |at| item.mistakes.include?(at) }.to_h { |at| [at, item.each_of(at)] }
        end

        # Of two that could show at once, each comes first as often as the other.
        def after(chance, acting, hit, other)
          none, by_mistake = others(acting, chance * SHOWS, hit)
          with = (SHOWS * (1 - ((1 - none) / 2)) * hit) + ((1 - (SHOWS / 2)) * by_mistake) + ((1 - SHOWS) * none * other)
          chance * with / ((chance * with) + ((1 - chance) * (by_mistake + (none * other))))
        end

        # For a child without this one: that no other shows, and that one does and gives the answer.
        def others(acting, weight, hit)
          none = acting.none / (1 - weight)
          left = acting.weights - weight
          [none, left > LEAST ? (1 - none) * [acting.hits - (weight * hit), 0.0].max / left : 0.0]
        end

        def fade(item, day)
          @over = nil
          item.mistakes.each do |at|
            since = @days[at]
            @chances[at] = faded(@chances[at], Mistakes.begin[at], left(day - since)) if since && day > since
            @days[at] = day
          end
        end

        def left(days) = 0.5**(days / ROW[:half_days].to_f)

        def faded(chance, first, left) = (left * chance) + ((1 - left) * first)
      end
    end
  end
end
