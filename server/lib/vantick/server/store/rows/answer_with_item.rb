# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # An answer as it stands, with what was asked.
        class AnswerWithItem < Row
          attribute :id, Types::Number
          attribute :item_id, Types::Number
          attribute :child_id, Types::Number
          attribute :misreadings, Types::Array
          attribute :check_id, Types::Number
          attribute :answer, Types::Text
          attribute :verdict, Types::Text
          attribute :read_as, Types::Text
          attribute :answered_at, Types::Text
          attribute :time, Types::Text
          attribute :step, Types::Text
          attribute :task, Types::Text
          # 1 where the clock had help on it.
          attribute :helped, Types::Number.optional
          # The verdict of a second try, where there was one and it was asked for.
          attribute :second, Types::Text.optional
        end
      end
    end
  end
end
