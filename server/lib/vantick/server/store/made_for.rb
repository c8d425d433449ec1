# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What was made for some children of a class and not for all: lessons, sheets and sessions on devices.
      module MadeFor
        # @param database [Sequel::Database]
        # @param class_id [Integer]
        # @param since [String] the first day
        # @return [Hash{Symbol => Array<Array<Integer>>}] of `lessons`, `sheets` and `sessions` the children that each is for
        def self.of(database, class_id, since)
          lessons = database[:lessons].where(class_id:).where { day >= since }.exclude(child_ids: nil).select_map(:child_ids)
          sessions = database[:desks].where(class_id:).where { opened_at >= since }.exclude(child_ids: nil).select_map(:child_ids)
          sheets = database[:checks].where(class_id:).where { made_at >= since }.exclude(sheet: nil).select_map(:sheet)
          { lessons: lessons.map { |ids| JSON.parse(ids) }, sessions: sessions.map { |ids| JSON.parse(ids) },
            sheets: sheets.filter_map { |sheet| JSON.parse(sheet)["child_ids"] } }
        end
      end
    end
  end
end
