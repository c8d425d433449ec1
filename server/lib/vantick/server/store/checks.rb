# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Checks and their items.
      class Checks
        # Checks whose times are avoided in the next one.
        LAST = 2

        def initialize(database)
          @db = database
        end

        # @return [Hash] the row, with `time`s of its items in order
        # @raise [Missing]
        def find(id)
          row = @db[:checks].first(id:) || raise(Missing.new("check", id))
          { **row, items: items(id) }
        end

        # @return [Array<Hash>] newest first
        def all(class_id, limit:)
          @db[:checks].where(class_id:).reverse(:id).limit(limit).all.map { |row| { **row, items: items(row[:id]) } }
        end

        # @return [Array<String>] the times of the class's last checks
        def last_times(class_id)
          last = @db[:checks].where(class_id:).reverse(:id).limit(LAST).select(:id)
          @db[:items].where(check_id: last).select_map(:time)
        end

        # @param times [Array<String>] in order
        # @return [Hash] the check made
        def add(class_id:, step:, task:, times:, made_at:)
          @db.transaction do
            id = @db[:checks].insert(class_id:, step:, task:, made_at:)
            @db[:items].multi_insert(times.each_with_index.map { |time, position| { check_id: id, position:, time: } })
            find(id)
          end
        end

        private

        def items(check_id) = @db[:items].where(check_id:).order(:position).select(:id, :time).all
      end
    end
  end
end
