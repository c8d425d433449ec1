# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # What is printed for a day of a class.
        class Stack < Row
          json :parts

          attribute :id, Types::Number
          attribute :class_id, Types::Number
          attribute :day, Types::Text
          attribute :made_at, Types::Text
          attribute :lesson_id, Types::Number
          # Of each its `kind` (one of {Stacks::KINDS}) and its `check_id`, in the order of use.
          attribute :parts, Types::Array
        end
      end
    end
  end
end
