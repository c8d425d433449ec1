# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # One plan of a term: all its lessons, those that are over as they stood then.
        class TermPlan < Row
          json :lessons, :change, :forecast, :settings

          attribute :id, Types::Number
          attribute :term_id, Types::Number
          attribute :made_at, Types::Text
          # One of {Terms::CAUSES}.
          attribute :cause, Types::Text
          attribute :change, Types::Hash.optional
          attribute :lessons, Types::Array
          # What was known of the class when it was made.
          attribute :known_of, Types::Text
          attribute :forecast, Types::Hash.optional
          attribute :put_back_at, Types::Text.optional
          # The term as it was set then; nothing in a plan of an older file.
          attribute :settings, Types::Hash.optional
        end
      end
    end
  end
end
