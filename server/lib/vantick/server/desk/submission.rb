# frozen_string_literal: true

module Vantick
  module Server
    module Desk
      # What a device sends for a task: whether it belongs there, whether it came before, and what is right of it.
      class Submission
        # @param turn [Store::Rows::Turn]
        # @param answers [Array<Hash>] each with `id`, `item_id` and `answer`
        # @param turns [Store::Turns]
        # @param conventions [Core::Wording::Conventions] of the child
        # @raise [Core::Error] where they belong to another task
        def initialize(turn, answers, turns:, conventions:)
          @turn = turn
          @answers = answers
          @turns = turns
          @conventions = conventions
          return if answers.map { |answer| answer[:item_id] }.sort == turn.item_ids.sort

          raise Core::Error.new("These answers belong to another task.", field: :answers)
        end

        # @return [Boolean] whether the same was sent before
        # @raise [Store::Answers::IdTaken] for an id of another answer
        def before?
          known = @turns.known(@answers.map { |answer| answer[:id] })
          other = @answers.any? { |answer| known.key?(answer[:id]) && known[answer[:id]] != answer.values_at(:item_id, :answer) }
          raise Store::Answers::IdTaken if other

          known.any?
        end

        # @return [Array<Core::Marking::MarkedAnswer>] one for each item of the task
        def marked
          texts = @answers.to_h { |answer| [answer[:item_id], answer[:answer]] }
          @turn.items.map do |item|
            task = Core::Tasks::Task.find(item.task)
            Core::Marking::Marker.mark(task:, time: task.parse_time(item.time), text: texts.fetch(item.id), said: item.said,
                                       conventions: @conventions)
          end
        end

        # @param child_id [Integer]
        # @return [Array<Hash>] as they are stored, in the order of the items
        def rows(child_id)
          rows = @answers.to_h { |answer| [answer[:item_id], { uuid: answer[:id], **answer.slice(:item_id, :answer), child_id: }] }
          @turn.items.map { |item| rows.fetch(item.id) }
        end
      end
    end
  end
end
