# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What a class showed on its boards: how many had which answer, and nothing of one child.
      class Boards
        def initialize(database)
          @db = database
        end

        # @param shown [Hash] columns by name; `amounts` by answer
        # @return [Integer] its id
        def add(**shown) = @db[:boards].insert(**shown, amounts: JSON.generate(shown[:amounts]))

        # @param class_id [Integer]
        # @param lesson_id [Integer]
        # @return [Array<Hash>] oldest first
        def of_lesson(class_id, lesson_id)
          rows = @db[:boards].where(class_id:, lesson_id:).order(:id).select(:id, :day, :step, :task, :time, :amounts, :shown_at).all
          rows.map { |row| { **row, amounts: JSON.parse(row[:amounts], symbolize_names: true) } }
        end
      end
    end
  end
end
