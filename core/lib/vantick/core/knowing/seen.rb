# frozen_string_literal: true

module Vantick
  module Core
    module Knowing
      # What was seen of a child, beside what is believed: where it was asked, and what went right how often and on which days. A time
      # read rightly counts for all that it rests on.
      class Seen
        ROW = TABLE[:seen].freeze

        # @param wanted [Array<Symbol>] ways that a step wants in this class
        def initialize(wanted = States::WANTED)
          @wanted = wanted
          @asked = {}
          @right = {}
          @met = {}
          @ways = {}
        end

        # @param marked [MarkedAnswer]
        # @param day [Integer]
        # @param helped [Boolean] whether help was on the clock: it was asked then, and not shown
        def answered(marked, day, helped: false)
          item = Item.of(marked.task, marked.time)
          @ways = {}
          @met[item.kind] = true
          return unless marked.telling?

          (@asked[item.way] ||= {})[item.kind] = true
          went_right(item, day) if marked.read_right? && !helped
        end

        # @param step [Step]
        def taught(step) = met(Curriculum::KnowledgeComponents.of_step(step))

        # @param step [Step] that a teacher says is known, and with it what it rests on
        def judged(step)
          kinds = Curriculum::KnowledgeComponents.of_step(step)
          components = Curriculum::KnowledgeComponents
          met(kinds | kinds.flat_map { |kind| components.beneath(kind) | components.exercised(kind) })
        end

        # @param step [Step]
        # @return [Seen] once a lesson on it was given
        def after(step) = dup.tap { |later| later.taught(step) }

        # @param kind [Symbol]
        # @return [Boolean] whether it was taught or asked, or read through harder times
        def of?(kind) = @met.key?(kind) || Asking.of_kind(kind).any? { |way| right(way) }

        # @param asking [Asking]
        # @return [Boolean] whether it was asked so, itself or through harder times
        def asked?(asking) = @asked.dig(asking.way, asking.kind) || !right(asking).nil?

        # What was never asked in digits says nothing against a child who reads it in words: that is for its state alone.
        # @param kind [Symbol]
        # @return [Array<Asking>] by which it counts as known: of those wanted the ones that were asked, or all
        def ways(kind)
          @ways[kind] ||= begin
            wanted = Asking.wanted(kind, @wanted)
            asked = wanted.select { |way| asked?(way) }
            asked.empty? ? wanted : asked
          end
        end

        # @param asking [Asking]
        # @return [Boolean] whether it went right often enough to be called secure
        def enough?(asking) = enough_of?(right(asking))

        private

        def met(kinds) = @met = { **@met, **kinds.to_h { |kind| [kind, true] } }

        # What rests on nothing new is not counted on.
        def enough_of?(found) = !found.nil? && found[0] >= ROW[:right] && found[1] >= ROW[:days]

        # How often, on how many days, and the last of these.
        def right(asking) = @right.dig(asking.way, asking.counted)

        def went_right(item, day)
          return count(:day, :day_halves, day) if item.way == :day
          return if enough_of?(@right.dig(item.way, item.part))

          [item.part, *Graph.beneath(item.part)].each do |part|
            count(item.way, part, day)
            count(:alone, part, day) unless item.way == :alone
          end
        end

        def count(way, part, day)
          times, days, last = (@right[way] ||= {})[part]
          @right[way][part] = [times.to_i + 1, days.to_i + (last == day ? 0 : 1), day]
        end
      end
    end
  end
end
