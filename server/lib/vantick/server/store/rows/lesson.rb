# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Rows
        # A lesson that was planned, and what was left out where it was given.
        class Lesson < Row
          json :left_out, :child_ids, :seconds

          def self.of(row, **beside)
            plan = row[:plan]
            plan = Core::Teaching::LessonSettings.of(JSON.parse(plan, symbolize_names: true, freeze: true)) if plan.is_a?(String)
            super({ **row, plan: }, **beside)
          end

          attribute :id, Types::Number
          attribute :class_id, Types::Number
          attribute :check_id, Types::Number.optional
          attribute :day, Types::Text
          attribute :plan, Types.Instance(Core::Teaching::LessonSettings)
          attribute :left_out, Types::Array
          attribute :given_at, Types::Text.optional
          attribute :made_at, Types::Text
          attribute :changed_at, Types::Text
          attribute :version, Types::Number
          # For whom it is, where it is not for the whole class.
          attribute :child_ids, Types::Array.optional
          # How long things took when it was given: kind and seconds of each.
          attribute :seconds, Types::Array.optional
          attribute :copied_from, Types::Number.optional
        end
      end
    end
  end
end
