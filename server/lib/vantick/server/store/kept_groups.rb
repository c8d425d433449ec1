# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Groups as a teacher put them together: they stand until others are asked for.
      class KeptGroups
        def initialize(database)
          @db = database
        end

        # @param class_id [Integer]
        # @param present [Array<Integer>] children of the class; who left is in no group, who came since is in the last one
        # @return [Hash, nil] `groups` and `kept_at`
        def of(class_id, present)
          row = @db[:kept_groups].first(class_id:) or return
          groups = JSON.parse(row[:groups], symbolize_names: true)
          groups = groups.map { |group| { **group, child_ids: group[:child_ids] & present } }
          groups.last[:child_ids] += present - groups.flat_map { |group| group[:child_ids] }
          { groups: groups.reject { |group| group[:child_ids].empty? }, kept_at: row[:kept_at] }
        end

        # @param groups [Array<Hash>]
        def keep(class_id, groups, at)
          kept = { groups: JSON.generate(groups), kept_at: at }
          @db[:kept_groups].insert_conflict(target: :class_id, update: kept).insert(class_id:, **kept)
        end

        def forget(class_id) = @db[:kept_groups].where(class_id:).delete
      end
    end
  end
end
