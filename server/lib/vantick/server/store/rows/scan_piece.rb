# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # What was read of one answer on paper. Its picture stays in the store.
        class ScanPiece < Row
          json :guesses

          attribute :id, Types::Number
          attribute :scan_page_id, Types::Number
          attribute :item_id, Types::Number
          attribute :child_id, Types::Number
          attribute :kind, Types::Text
          # As the reader read it; empty where it could not.
          attribute :seen, Types::Text
          # 1 where it was marked without a person.
          attribute :sure, Types::Number
          attribute :guesses, Types::Array
          # 1 where a digit is written the wrong way round.
          attribute :turned, Types::Number
          attribute :answer_uuid, Types::Text.optional
          attribute :settled_at, Types::Text.optional
        end
      end
    end
  end
end
