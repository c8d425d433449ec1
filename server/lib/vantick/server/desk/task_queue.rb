# frozen_string_literal: true

module Vantick
  module Server
    module Desk
      # What is put before a child: chosen by core, or given by the teacher.
      class TaskQueue
        # Tasks that a device holds for when the network is away (judgement).
        AHEAD = 4

        # @param open [Array<Hash>] turns that are not done
        # @return [Boolean] whether there is nothing to do, or not enough ahead
        def self.lacking?(open)
          ahead = open.count { |turn| turn.ahead == 1 }
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

        # Nothing is kept yet, so that nobody waits while it is chosen.
        # @param open [Array<Hash>]
        # @param seed [Integer]
        # @return [Array<Array(Core::Desk::Turn, Boolean)>] what is missing: one to do, and some ahead
        def chosen(open, seed)
          ahead, now = open.partition { |turn| turn.ahead == 1 }
          next_one = now.empty? ? Core::Desk::TaskSelector.for(@knowledge.learner, seed:, beside: times(ahead)) : nil
          first = [next_one].compact
          asked = [*now, *ahead].map { |turn| Knowledge.turn(turn) } + first
          first.map { |turn| [turn, false] } + more(asked, AHEAD - ahead.length, seed + 1).map { |turn| [turn, true] }
        end

        # @param open [Array<Hash>]
        # @param chosen [Array<Array(Core::Desk::Turn, Boolean)>]
        # @return [Array<Hash>] with what was chosen, the next to do first
        def practice(open, chosen)
          added = chosen.map { |turn, ahead| @store.turns.add(@seat, turn, ahead:, at: @at) }
          (open + added).sort_by { |turn| turn.values_at(:ahead, :id) }
        end

        # @param open [Array<Hash>]
        # @return [Array<Hash>] with all items of the check that the child has not had
        def assigned(open)
          there = @store.turns.of_round(@seat).flat_map(&:item_ids)
          items = @store.checks.find(@seat.check_id).items
          mine = items.select { |item| [nil, @seat.child_id].include?(item.child_id) && !there.include?(item.id) }
          open + mine.map { |item| put(item) }
        end

        private

        # Chosen as if all that is open had been asked already.
        def more(asked, count, seed)
          return [] unless count.positive?

          Core::Desk::TaskSelector.ahead(asked.reduce(@knowledge.learner) { |so_far, turn| so_far.with_turn(turn) }, count:, seed:)
        end

        def times(turns) = turns.flat_map { |turn| Knowledge.turn(turn).times }

        def put(item)
          task = Core::Tasks::Task.find(item.task)
          turn = Core::Desk::Turn.new(step: Core::Curriculum::Step.find(item.step), task:, times: [task.parse_time(item.time)],
                                      reason: :given)
          @store.turns.put(@seat, turn, items: [item], ahead: false, at: @at)
        end
      end
    end
  end
end
