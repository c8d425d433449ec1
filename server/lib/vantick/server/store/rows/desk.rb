# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A desk that was opened for a class, or for some of its children.
        class Desk < Row
          json :child_ids

          attribute :id, Types::Number
          attribute :class_id, Types::Number
          attribute :check_id, Types::Number
          attribute :lesson_id, Types::Number.optional
          attribute :kind, Types::Text
          attribute :stage, Types::Text.optional
          attribute :step, Types::Text.optional
          attribute :child_ids, Types::Array.optional
          attribute :code, Types::Text
          attribute :opened_at, Types::Text
          attribute :expires_at, Types::Text
          attribute :closed_at, Types::Text.optional
        end
      end
    end
  end
end
