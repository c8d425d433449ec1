# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A place of a child at a desk, with what its desk says of it.
        class Seat < Row
          attribute :id, Types::Number
          attribute :desk_id, Types::Number
          attribute :child_id, Types::Number
          attribute :round, Types::Number
          attribute :round_began_at, Types::Text
          attribute :joined_at, Types::Text
          attribute :step, Types::Text.optional
          attribute :class_id, Types::Number
          attribute :check_id, Types::Number
          attribute :kind, Types::Text
          attribute :opened_at, Types::Text
          attribute :expires_at, Types::Text
          attribute :closed_at, Types::Text.optional
          # Whether the desk is open, and whether what is there may still be looked at.
          attribute :open, Types::Bool
          attribute :readable, Types::Bool
        end
      end
    end
  end
end
