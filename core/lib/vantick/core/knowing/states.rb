# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # In which state a child is at each kind of times and way of asking, and so at each step. A state goes by answers: it is looked at
      # again after each day with some, and leaves what it was a little later than it came there, so that nothing flickers.
      class States
        ROW = TABLE[:states].freeze
        # From the lowest.
        ALL = %i[not_yet learning nearly secure].freeze
        NOT_YET, LEARNING, NEARLY, SECURE = *0..3
        # Ways that a step wants, by the choice of a class; the first is the usual one.
        CHOICES = TABLE[:wanted].transform_values { |ways| ways.map(&:to_sym).freeze }.freeze
        WANTED = CHOICES.values.first

        # @param conventions [Wording::Conventions] of a class
        # @return [Array<Symbol>] ways that a step wants in it
        # @example
        #   States.wanted(Wording::Conventions.default) # [:say, :write]
        def self.wanted(conventions) = CHOICES.fetch(conventions.secure_means)

        # @param wanted [Array<Symbol>] ways that a step wants in this class
        def initialize(wanted = WANTED)
          @wanted = wanted
          @levels = []
          @asked = []
        end

        # @param belief [Belief]
        # @param seen [Seen]
        def look(belief, seen)
          before = [@levels, @asked]
          @careful = belief.careful
          @levels, @asked = before.map(&:dup)
          Curriculum::KnowledgeComponents.all.each do |kind|
            known = seen.of?(kind)
            Asking.of_kind(kind).each do |asking|
              @levels[asking.number] = known ? level(@levels[asking.number].to_i, belief.shown(asking), seen, asking) : NOT_YET
              @asked[asking.number] = seen.asked?(asking)
            end
          end
          @secure = nil if before != [@levels, @asked]
        end

        # @param step [Step]
        # @return [Symbol] one of {ALL}: that of the lowest that it holds
        def of(step) = ALL[Curriculum::KnowledgeComponents.of_step(step).map { |kind| of_kind(kind) }.min]

        # @return [Array<Step>] those that are secure
        def secure
          @secure ||= begin
            levels = Curriculum::KnowledgeComponents.all.to_h { |kind| [kind, of_kind(kind)] }
            Curriculum::Step.with_times.select do |step|
              Curriculum::KnowledgeComponents.of_step(step).all? { |kind| levels[kind] == SECURE }
            end.freeze
          end
        end

        # @param step [Step]
        # @param way [Symbol]
        # @return [Symbol] the same for one way of asking
        def of_way(step, way) = ALL[Curriculum::KnowledgeComponents.of_step(step).map { |kind| at(Asking.of(kind, way)) }.min]

        private

        def at(asking) = @levels[asking.number].to_i

        # As long as a way that it wants was never asked, it is nearly secure at most: that says nothing against it.
        def of_kind(kind)
          all = Asking.wanted(kind, @wanted)
          asked = all.select { |way| @asked[way.number] }
          return all.map { |way| at(way) }.min if asked.empty?

          lowest = asked.map { |way| at(way) }.min
          asked.length < all.length ? [lowest, NEARLY].min : lowest
        end

        def level(before, share, seen, asking)
          there = before == SECURE
          return SECURE if share >= bound(:secure, there) && @careful >= bound(:careful, there) && seen.enough?(asking)

          share >= bound(:nearly, before >= NEARLY) ? NEARLY : LEARNING
        end

        def bound(name, there) = ROW[name] - (there ? ROW[:lag][name] : 0)
      end
    end
  end
end
