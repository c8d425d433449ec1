# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # What was removed and can be brought back yet: what it was, in short.
        class TrashItem < Row
          json :about

          attribute :id, Types::Number
          attribute :class_id, Types::Number
          # `check`, `lesson` or `desk`.
          attribute :kind, Types::Text
          attribute :thing_id, Types::Number
          attribute :about, Types::Hash
          attribute :removed_at, Types::Text
        end
      end
    end
  end
end
