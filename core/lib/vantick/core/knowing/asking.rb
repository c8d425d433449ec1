# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # A kind of times asked in one way, such as quarters in digits: what is told of by itself. There are few, and each has its number.
      class Asking
        # Ways in which whole times can be asked; changing notation is not told of by itself, since it rests on saying and writing.
        WHOLE = %i[say write set change].freeze
        # Of one hand or of numerals, and of halves of the day.
        ALONE = %i[alone].freeze
        DAY = %i[day].freeze
        TOLD = %i[say write set alone day].freeze

        # @return [Symbol] one of {Curriculum::KnowledgeComponents.all}
        attr_reader :kind
        # @return [Symbol] one of {TOLD}
        attr_reader :way
        # @return [Symbol] of the {Graph}
        attr_reader :part
        # @return [Symbol] under which right answers are counted
        attr_reader :counted
        # @return [Integer] its place among {all}
        attr_reader :number

        class << self
          # @param kind [Symbol]
          # @return [Array<Symbol>] the ways in which it can be asked
          def ways_of(kind)
            @ways ||= Curriculum::KnowledgeComponents.all.to_h { |component| [component, found_ways(component)] }.freeze
            @ways.fetch(kind)
          end

          # @param kind [Symbol]
          # @param ways [Array<Symbol>]
          # @return [Array<Symbol>] the parts of the {Graph} that it is in these ways
          def parts_of(kind, ways) = ((@parts ||= {})[kind] ||= {})[ways] ||= ways.map { |way| Item.part_of(kind, way) }.uniq.freeze

          # @return [Array<Asking>]
          def all
            @all || Facts::Once.make { @all ||= numbered.freeze }
          end

          # @param kind [Symbol]
          # @return [Array<Asking>] in all ways
          def of_kind(kind) = (@of_kind ||= all.group_by(&:kind).each_value(&:freeze).freeze).fetch(kind)

          # @param kind [Symbol]
          # @param way [Symbol]
          # @return [Asking]
          def of(kind, way) = of_kind(kind).find { |asking| asking.way == way }

          # @param kind [Symbol]
          # @param wanted [Array<Symbol>] ways
          # @return [Array<Asking>] by which the kind is judged: all where there is but one
          def wanted(kind, wanted = States::WANTED)
            (@wanted ||= {})[[kind, wanted]] ||= of_kind(kind).then do |all|
              if all.one?
                all
              else
                all.select do |asking|
                  wanted.include?(asking.way)
                end
              end
            end.freeze
          end

          private

          def numbered
            ways = Curriculum::KnowledgeComponents.all.flat_map { |kind| (ways_of(kind) & TOLD).map { |way| [kind, way] } }
            ways.map.with_index { |(kind, way), number| new(kind, way, number) }
          end

          def found_ways(kind)
            return DAY if kind == :day_halves

            Curriculum::Step.find(kind).whole? ? WHOLE : ALONE
          end
        end

        # @param kind [Symbol] one of {Curriculum::KnowledgeComponents}
        # @param way [Symbol] in which it is asked
        # @param number [Integer] its place among all, from 0
        def initialize(kind, way, number)
          @kind = kind
          @way = way
          @number = number
          @part = Item.part_of(kind, way)
          @counted = way == :day ? :day_halves : part
          freeze
        end
      end
    end
  end
end
