# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A child as a class lists its children.
        class ChildName < Row
          attribute :id, Types::Number
          attribute :name, Types::Text
        end
      end
    end
  end
end
