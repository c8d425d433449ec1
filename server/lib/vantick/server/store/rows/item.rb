# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # One thing that is asked. One of a desk has a step and a task of its own, all others have those of their check.
        class Item < Row
          attribute :id, Types::Number
          attribute :check_id, Types::Number
          attribute :time, Types::Text
          # Whose it is, where children have times of their own.
          attribute :child_id, Types::Number.optional
          attribute :said, Types::Text.optional
          attribute :misreading, Types::Text.optional
          attribute :level, Types::Number.optional
          attribute :step, Types::Text.optional
          attribute :task, Types::Text.optional
          # 1 where its clock has help on it.
          attribute :helped, Types::Number.optional
          attribute :larger, Types::Number.optional
          # A time that is shown first; 1 where the task is half done.
          attribute :example, Types::Text.optional
          attribute :half, Types::Number.optional
          # In which other way a device asks it.
          attribute :variant, Types::Text.optional
        end
      end
    end
  end
end
