# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Who on a list may be which child of a class, with what each was last asked, so that a teacher knows who it is.
      module Doubts
        # @param store [Store::Database]
        # @param change [RosterChange]
        # @return [Array<Hash>]
        def self.of(store, change)
          last = store.register.last_clocks(change.doubts.values.flatten.map { |child| child[:id] })
          change.doubts.sort.map do |at, children|
            { at:, name: change.name_at(at),
              children: children.map { |child| { **child.slice(:id, :name, :left_at), last: last[child[:id]] } } }
          end
        end
      end
    end
  end
end
