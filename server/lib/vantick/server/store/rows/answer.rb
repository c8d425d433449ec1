# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # An answer as it stands, by the id that it got where it was given.
        class Answer < Row
          attribute :id, Types::Text
          attribute :item_id, Types::Number
          attribute :child_id, Types::Number
          attribute :answer, Types::Text
          attribute :read_as, Types::Text
          attribute :read_short, Types::Text
          attribute :answered_at, Types::Text
          # The verdict that stands; the first one is what the rules said.
          attribute :verdict, Types::Text
          attribute :first_verdict, Types::Text
          attribute :misreadings, Types::Array
          attribute :slips, Types::Array
        end
      end
    end
  end
end
