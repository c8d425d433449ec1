# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A child of a class.
        class Child < Row
          attribute :id, Types::Number
          attribute :class_id, Types::Number
          attribute :name, Types::Text
          attribute :position, Types::Number
          attribute :left_at, Types::Text.optional
        end
      end
    end
  end
end
