# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A file with pages of paper to read.
        class Scan < Row
          attribute :id, Types::Number
          attribute :class_id, Types::Number
          attribute :name, Types::Text
          attribute :made_at, Types::Text
          attribute :bytes, Types::Number
          attribute :received, Types::Number
          # One of {Scans::STATES}.
          attribute :state, Types::Text
          attribute :trouble, Types::Text
          attribute :pages, Types::Number
        end
      end
    end
  end
end
