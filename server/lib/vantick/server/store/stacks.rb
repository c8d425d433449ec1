# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What was put together to be printed for a day: the same pages whenever they are asked for.
      class Stacks
        KINDS = %w[starter group alone cards exit].freeze

        def initialize(database)
          @db = database
        end

        # @return [Rows::Stack]
        # @raise [Missing]
        def find(id) = read(@db[:stacks].first(id:) || raise(Missing.new("stack", id)))

        # @return [Rows::Stack, nil] the last one of a class for a day
        def of_day(class_id, day)
          row = @db[:stacks].where(class_id:, day:).reverse(:id).first
          row && read(row)
        end

        # @param lesson [Rows::Lesson]
        # @return [Rows::Stack, nil] the last one made for it as it stands
        def of_lesson(lesson)
          row = @db[:stacks].where(lesson_id: lesson.id).where { made_at > lesson.changed_at.to_s }.reverse(:id).first
          row && read(row)
        end

        # @param parts [Array<Hash>] each with its `kind` and `check_id`, or the `material` that has no answers
        # @return [Rows::Stack]
        def add(class_id:, day:, lesson_id:, parts:, made_at:)
          find(@db[:stacks].insert(class_id:, day:, lesson_id:, parts: JSON.generate(parts), made_at:))
        end

        def delete(id) = @db[:stacks].where(id:).delete

        private

        def read(row) = Rows::Stack.of(row)
      end
    end
  end
end
