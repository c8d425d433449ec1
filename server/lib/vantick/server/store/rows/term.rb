# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A term of a class as a teacher set it.
        class Term < Row
          json :weekdays, :days_off

          attribute :id, Types::Number
          attribute :class_id, Types::Number
          attribute :first_day, Types::Text
          attribute :last_day, Types::Text
          # Minutes by day of the week.
          attribute :weekdays, Types::Hash
          # Days without school: from, to, name.
          attribute :days_off, Types::Array
          # A step or a published standard, and the day by which it is to be known.
          attribute :aim, Types::Text
          attribute :aim_day, Types::Text
          attribute :changed_at, Types::Text
        end
      end
    end
  end
end
