# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A class with its children, and how it says the time.
        class SchoolClass < Row
          json :conventions, :day

          attribute :id, Types::Number
          attribute :name, Types::Text
          attribute :school, Types::Text
          attribute :made_up, Types::Bool
          # Whether it was put away at the end of its year.
          attribute :archived, Types::Bool
          # By convention what the class says; what is not said is as usual.
          attribute :conventions, Types::Hash
          # What happens when, for the halves of the day.
          attribute :day, Types::Array
          attribute :children, Types::Array

          # @return [Core::Wording::Conventions]
          def wording = Core::Wording::Conventions.new(**conventions)
        end
      end
    end
  end
end
