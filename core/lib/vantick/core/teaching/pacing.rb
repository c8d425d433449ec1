# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # How many seconds an item takes: common practice, and a class's own pace once it is known.
      class Pacing
        KINDS = Facts::DataFile.entries("pacing", required: %i[id name seconds]).to_h { |kind| [kind[:id].to_sym, kind] }.freeze
        SECONDS = KINDS.transform_values { |kind| kind[:seconds] }.freeze
        # Until a class has been seen so often its own median is mixed with the default (judgement).
        KNOWN_FROM = 20
        # Seconds below which nobody has read a clock, and how many times the usual a pause begins: neither tells of the pace (judgement).
        LEAST = 3
        MOST = 6

        # @param kind [Symbol] one of {KINDS}' keys
        # @return [Boolean] whether it needs no time to be read
        def self.timeless?(kind) = KINDS.fetch(kind).fetch(:timeless, false)

        # @param seen [Hash{Symbol => Array<Numeric>}] seconds that items took in this class, by kind
        # @param kept [Hash{Symbol => Numeric}] seconds that stand, by kind: a lesson that was planned keeps its pace
        def initialize(seen = {}, kept = {})
          @kept = kept.dup.freeze
          timed = seen.slice(*SECONDS.keys)
          @seen = timed.to_h { |kind, seconds| [kind, seconds.select { |second| telling?(kind, second) }.freeze] }.freeze
          freeze
        end

        # @param kind [Symbol] one of {SECONDS}' keys
        # @return [Float]
        def seconds(kind)
          default = @kept.fetch(kind) { SECONDS.fetch(kind) }
          own = @seen.fetch(kind, [])
          return default.to_f if own.empty?

          weight = [own.length / KNOWN_FROM.to_f, 1.0].min
          (weight * median(own)) + ((1 - weight) * default)
        end

        # @return [Hash{Symbol => Float}] seconds of those kinds that were seen in this class, to a tenth
        def own = @seen.reject { |_, all| all.empty? }.keys.to_h { |kind| [kind, seconds(kind).round(1)] }

        private

        def telling?(kind, seconds) = seconds.between?(LEAST, MOST * SECONDS.fetch(kind))

        def median(values)
          sorted = values.sort
          middle = sorted.length / 2
          sorted.length.odd? ? sorted[middle].to_f : (sorted[middle - 1] + sorted[middle]) / 2.0
        end
      end
    end
  end
end
