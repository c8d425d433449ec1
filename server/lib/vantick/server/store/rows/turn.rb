# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A task of a child at a desk, with its items.
        class Turn < Row
          json :item_ids

          attribute :id, Types::Number
          attribute :desk_id, Types::Number
          attribute :child_id, Types::Number
          attribute :round, Types::Number
          attribute :step, Types::Text
          attribute :task, Types::Text
          attribute :item_ids, Types::Array
          attribute :items, Types::Array
          attribute :reason, Types::Text
          attribute :against, Types::Text.optional
          # 1 where it is kept ahead on the device.
          attribute :ahead, Types::Number
          attribute :tries, Types::Number
          attribute :asked_at, Types::Text
          attribute :done_at, Types::Text.optional
        end
      end
    end
  end
end
