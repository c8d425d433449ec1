# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What a teacher says of children: they know a step, or do not yet. The last word on a step stands.
      class TeacherJudgements
        def initialize(database)
          @db = database
        end

        # @param child_ids [Array<Integer>]
        # @param known [Boolean, nil] nothing to say no more of it
        def say(child_ids, step, known, at)
          @db.transaction do
            @db[:said].where(child_id: child_ids, step:).delete
            next if known.nil?

            @db[:said].multi_insert(child_ids.map { |child_id| { child_id:, step:, known: known ? 1 : 0, said_at: at } })
          end
        end

        # @param child_ids [Array<Integer>]
        # @return [Hash{Integer => Array<Hash>}] by child: `step`, `known` and `said_at`
        def of(child_ids)
          rows = @db[:said].where(child_id: child_ids).order(:id).all
          rows.group_by { |row| row[:child_id] }.transform_values do |some|
            some.map { |row| { step: row[:step], known: row[:known] == 1, said_at: row[:said_at] } }
          end
        end

        # @param child_ids [Array<Integer>]
        # @return [Array(Integer, Integer)] what tells whether more was said: how much stands, and the last of it
        def mark(child_ids)
          rows = @db[:said].where(child_id: child_ids)
          [rows.count, rows.max(:id).to_i]
        end
      end
    end
  end
end
