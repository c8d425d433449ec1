# frozen_string_literal: true

require "date"

module Vantick
  module Server
    module Store
      # Who was away on which day, as a teacher says.
      class Away
        def initialize(database)
          @db = database
        end

        # @param child_id [Integer]
        # @param day [String] such as "2026-03-02"
        # @param away [Boolean] whether the child was; it can be taken back
        # @param at [String] when that is said
        def say(child_id, day, away, at)
          @db.transaction do
            @db[:away].where(child_id:, day:).delete
            @db[:away].insert(child_id:, day:, said_at: at) if away
          end
        end

        # @param child_ids [Array<Integer>]
        # @param day [String]
        # @return [Array<Integer>] those of them who were away
        def on(child_ids, day) = @db[:away].where(child_id: child_ids, day:).order(:child_id).select_map(:child_id)

        # @param child_ids [Array<Integer>]
        # @return [Hash{Integer => Array<Integer>}] by child, Julian days
        def of(child_ids)
          @db[:away].where(child_id: child_ids).order(:day).select_hash_groups(:child_id, :day)
                    .transform_values { |days| days.map { |day| Date.iso8601(day).jd } }
        end
      end
    end
  end
end
