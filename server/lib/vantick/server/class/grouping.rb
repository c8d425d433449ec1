# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # The groups of a class for tomorrow: as a teacher put them together, else as the answers propose.
      module Grouping
        class << self
          # @param most [Integer] groups that a teacher leads
          # @return [Hash] `groups`, and `kept_at` where a teacher put them together
          def of(store, school_class, most: Core::Teaching::Groups::MOST_GROUPS)
            kept = store.kept_groups.of(school_class.id, school_class.children.map(&:id))
            kept || { groups: proposed(store, school_class, most:), kept_at: nil }
          end

          # @return [Array<Hash>]
          def proposed(store, school_class, most:)
            today = Store::SchoolDay.today
            groups = Core::Teaching::Groups.of(Store::ProgressCache.of(school_class, store, today:).known, most:, seed: today)
            groups.map { |group| RecordView.group(group) }
          end
        end
      end
    end
  end
end
