# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # Something that is worked on beside requests.
        class Job < Row
          json :about, :result

          attribute :id, Types::Number
          attribute :kind, Types::Text
          attribute :key, Types::Text.optional
          attribute :class_id, Types::Number.optional
          attribute :about, Types::Hash
          # One of {Jobs::STATES}.
          attribute :state, Types::Text
          # How far it is: so many of so many.
          attribute :done, Types::Number
          attribute :of, Types::Number
          # How often it was begun.
          attribute :tries, Types::Number
          # Why it did not come to its end, in words.
          attribute :trouble, Types::Text.optional
          attribute :result, Types::Any
          attribute :made_at, Types::Text
          attribute :changed_at, Types::Text
        end
      end
    end
  end
end
