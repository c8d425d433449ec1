# frozen_string_literal: true

module Vantick
  module Server
    module Desk
      # What is put before a child: chosen by core, or given by the teacher.
      class Supply
        # Tasks that a device holds for when the network is away (judgement).
        AHEAD = 4

        # @param open [Array<Hash>] turns that are not done
        # @return [Boolean] whether there is nothing to do, or not enough ahead
        def self.lacking?(open)
          ahead = open.count { |turn| turn[:ahead] == 1 }
          open.length == ahead || ahead < AHEAD
        end

        # @param seat [Hash]
        # @param store [Store::Database]
        # @param knowledge [Knowledge]
        # @param at [String]
        def initialize(seat, store:, knowledge:, at:)
          @seat = seat
          @store = store
          @knowledge = knowledge
          @at = at
        end

        # @param open [Array<Hash>]
        # @param seed [Integer]
        # @return [Array<Hash>] with one to do, and some ahead
        def practice(open, seed)
          ready, now = open.partition { |turn| turn[:ahead] == 1 }
          now = [add(Core::NextTurn.for(@knowledge.learner, seed:, beside: times(ready)), ahead: false)] if now.empty?
          now + ready + more(now + ready, AHEAD - ready.length, seed + 1)
        end

        # @param open [Array<Hash>]
        # @return [Array<Hash>] with all items of the check that the child has not had
        def given(open)
          there = @store.turns.of_round(@seat).flat_map { |turn| turn[:item_ids] }
          items = @store.checks.find(@seat[:check_id])[:items]
          mine = items.select { |item| [nil, @seat[:child_id]].include?(item[:child_id]) && !there.include?(item[:id]) }
          open + mine.map { |item| put(item) }
        end

        private

        # Chosen as if all that is open had been asked already.
        def more(open, count, seed)
          return [] unless count.positive?

          after = open.reduce(@knowledge.learner) { |so_far, turn| so_far.asked(Knowledge.turn(turn)) }
          Core::NextTurn.ahead(after, count:, seed:).map { |turn| add(turn, ahead: true) }
        end

        def times(turns) = turns.flat_map { |turn| Knowledge.turn(turn).times }

        def add(turn, ahead:) = @store.turns.add(@seat, turn, ahead:, at: @at)

        def put(item)
          task = Core::Task.find(item[:task])
          turn = Core::Turn.new(step: Core::Step.find(item[:step]), task:, times: [task.parse_time(item[:time])], reason: :given)
          @store.turns.put(@seat, turn, items: [item], ahead: false, at: @at)
        end
      end
    end
  end
end
