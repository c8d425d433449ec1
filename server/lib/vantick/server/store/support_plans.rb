# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Weeks of help that were begun for a child. The last one counts.
      class SupportPlans
        def initialize(database)
          @db = database
        end

        # @return [Hash, nil] `id`, `began_on`, `made_at` and `weeks`
        def of_child(child_id)
          row = @db[:support_plans].where(child_id:).reverse(:id).first or return
          { **row.slice(:id, :began_on, :made_at), weeks: JSON.parse(row[:weeks], symbolize_names: true) }
        end

        # @param weeks [Array<Hash>] each its `step`, `task`, `misreading` and `times`
        # @param began_on [String] a day
        def begin(child_id, weeks, began_on:, at:)
          @db[:support_plans].insert(child_id:, began_on:, weeks: JSON.generate(weeks), made_at: at)
        end

        # The one before counts again, where there is one.
        # @raise [Missing]
        def remove(child_id)
          last = @db[:support_plans].where(child_id:).max(:id) || raise(Missing.new("plan", child_id, field: "child_id"))
          @db[:support_plans].where(id: last).delete
        end
      end
    end
  end
end
