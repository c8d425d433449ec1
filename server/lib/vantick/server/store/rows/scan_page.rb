# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A piece of paper in a file: a page or a slip. Its picture stays in the store.
        class ScanPage < Row
          json :corners

          attribute :id, Types::Number
          attribute :scan_id, Types::Number
          attribute :number, Types::Number
          # One of {Scans::PAGE_STATES}.
          attribute :state, Types::Text
          attribute :words, Types::Text
          attribute :check_id, Types::Number.optional
          attribute :child_id, Types::Number.optional
          attribute :page, Types::Number.optional
          attribute :corners, Types::Array.optional
        end
      end
    end
  end
end
