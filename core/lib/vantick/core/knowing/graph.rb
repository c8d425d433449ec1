# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # The parts of reading a clock and what each rests on. A child's place is a set of parts that can be: with each part all that it
      # rests on is there. There are few of them, so that a belief over all places is worked out exactly. The theory is that of
      # knowledge spaces (Doignon and Falmagne, "Spaces for the assessment of knowledge", International Journal of Man-Machine Studies
      # 23, 1985; from memory).
      module Graph
        # @return [Array<Symbol>] all parts, each after those it rests on
        PARTS = TABLE[:parts].keys.freeze
        # @return [Hash{Symbol => Array<Symbol>}] what each rests on at once
        RESTS_ON = TABLE[:parts].transform_values { |below| below.map(&:to_sym).freeze }.freeze

        class << self
          # @param part [Symbol]
          # @return [Array<Symbol>] all that it rests on, and that these rest on
          def beneath(part)
            (@beneath ||= {})[part] ||= RESTS_ON.fetch(part).flat_map { |other| [other, *beneath(other)] }.uniq.freeze
          end

          # @param part [Symbol]
          # @return [Array<Symbol>] all that rest on it
          def above(part) = (@above ||= {})[part] ||= PARTS.select { |other| beneath(other).include?(part) }.freeze

          # @return [Array<Integer>] every place, as bits: the part at index n is bit n
          def places
            @places ||= PARTS.each_with_index.reduce([0]) do |found, (part, at)|
              found + found.select { |place| holds?(place, RESTS_ON[part]) }.map { |place| place | (1 << at) }
            end.uniq.sort.freeze
          end

          # @param part [Symbol]
          # @return [Array<Integer>] indexes of the places that hold it
          def holding(part) = (@holding ||= {})[part] ||= places.each_index.select { |at| holds?(places[at], [part]) }.freeze

          # @param part [Symbol]
          # @return [Array(Array<Integer>, Array<Integer>)] indexes of the places at which it could be learned next, and where that leads
          def steps_up(part)
            (@steps_up ||= {})[part] ||= moves(->(place) { !holds?(place, [part]) && holds?(place, RESTS_ON[part]) }) do |place|
              place | bit(part)
            end
          end

          # @param part [Symbol]
          # @return [Array(Array<Integer>, Array<Integer>)] indexes of the places that hold it, and where losing it leads: what rests on it
          #   goes with it
          def steps_down(part)
            lost = [part, *above(part)].sum { |other| bit(other) }
            (@steps_down ||= {})[part] ||= moves(->(place) { holds?(place, [part]) }) { |place| place & ~lost }
          end

          # @return [Array<Float>] how likely each place is before any answer
          def begin
            @begin ||= TABLE[:begin].map { |kind| places.map { |place| kind[:share] * chance(place, kind[:chance]) } }
                                    .transpose.map(&:sum).freeze
          end

          private

          def bit(part) = 1 << PARTS.index(part)

          def holds?(place, parts) = parts.all? { |part| place.anybits?(bit(part)) }

          def moves(from)
            found = places.each_index.select { |at| from.call(places[at]) }
            [found.freeze, found.map { |at| places.index(yield(places[at])) }.freeze].freeze
          end

          def chance(place, each)
            PARTS.reduce(1.0) do |all, part|
              next all unless holds?(place, RESTS_ON[part])

              all * (holds?(place, [part]) ? each : 1 - each)
            end
          end
        end
      end
    end
  end
end
