# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # Whether a child who knows the parts can say, write, set and change notation, at all and at each kind of times, and how carefully
      # it answers.
      class Skills
        WAYS = TABLE[:ways].freeze
        OWN = TABLE[:own]
        SLIPS = TABLE[:slips].map { |slip| slip[:chance] }.freeze
        SHARES = TABLE[:slips].map { |slip| slip[:share] }.freeze
        KEPT = TABLE[:slips_kept]
        CAREFUL = TABLE[:careful][:slip]
        MOST = 0.999
        RANGE = ((1 - MOST)..MOST)

        def initialize
          @ways = WAYS.dup
          @own = {}
          @slips = SHARES.dup
        end

        def initialize_copy(other)
          super
          @ways = @ways.dup
          @own = @own.transform_values(&:dup)
          @slips = @slips.dup
        end

        # @param way [Symbol]
        # @return [Float] 0..1
        def way(way) = @ways.fetch(way)

        # @param kind [Symbol]
        # @param way [Symbol]
        # @return [Float] 0..1
        def own(kind, way) = @own.dig(way, kind) || (way == :alone ? 1.0 : OWN)

        # @return [Float] 0..1, how often one who knows is wrong
        def slip = @slip ||= SLIPS.each_index.sum { |at| @slips[at] * SLIPS[at] }

        # @return [Float] 0..1, that it slips no more often than a careful child
        def careful = SLIPS.each_index.sum { |at| SLIPS[at] <= CAREFUL ? @slips[at] : 0.0 }

        # @param way [Symbol]
        # @param chance [Float]
        def set_way(way, chance)
          @ways[way] = chance.clamp(RANGE)
        end

        # @param kind [Symbol]
        # @param way [Symbol]
        # @param chance [Float]
        def set_own(kind, way, chance)
          (@own[way] ||= {})[kind] = chance.clamp(RANGE)
        end

        # What was read rightly speaks for what it rests on, in the same way of asking.
        # @param kinds [Array<Symbol>]
        # @param way [Symbol]
        # @param share [Float] 0..1, of what is left to be known
        def lift(kinds, way, share)
          owns = (@own[way] ||= {})
          kinds.each { |kind| owns[kind] = (owns[kind] || OWN).then { |own| [own + ((1 - own) * share), MOST].min } }
        end

        # @yieldparam slip [Float]
        # @yieldreturn [Float] how likely the answer is for a child who slips so often
        def weigh
          @slip = nil
          found = SLIPS.each_index.map { |at| @slips[at] * yield(SLIPS[at]) }
          whole = found.sum
          @slips = found.each_with_index.map { |share, at| (KEPT * share / whole) + ((1 - KEPT) * SHARES[at]) }
        end

        # @param kind [Symbol]
        # @param way [Symbol]
        # @param chance [Float] of learning it here
        # @param at_all [Float] of learning it altogether
        def learn(kind, way, chance, at_all)
          set_own(kind, way, own(kind, way).then { |own| own + ((1 - own) * chance) }) unless way == :alone
          set_way(way, way(way).then { |known| known + ((1 - known) * at_all) })
        end
      end
    end
  end
end
