# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A check, its items in order, and the last desk it was opened for.
        class Check < Row
          json :sheet

          attribute :id, Types::Number
          attribute :class_id, Types::Number
          attribute :step, Types::Text
          attribute :task, Types::Text
          attribute :made_at, Types::Text
          attribute :code, Types::Text.optional
          attribute :sheet, Types::Hash
          attribute :desk, Types::Hash.optional
          attribute :items, Types::Array
        end
      end
    end
  end
end
