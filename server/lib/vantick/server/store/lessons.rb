# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Lessons planned for a class, and what was left out when they were given.
      class Lessons
        # It was changed since it was read.
        class ChangedMeanwhile < StandardError; end

        JSON_COLUMNS = %i[plan left_out seconds].freeze

        def initialize(database)
          @db = database
        end

        # @return [Rows::Lesson]
        # @raise [Missing]
        def find(id) = read(@db[:lessons].first(id:) || raise(Missing.new("lesson", id)))

        # @param step [String, nil] only those on it
        # @param month [String, nil] such as "2026-03", only those of its days
        # @return [Array<Rows::Lesson>] the latest day first
        def all(class_id, limit:, step: nil, month: nil)
          found = @db[:lessons].where(class_id:)
          found = found.where(Sequel.function(:json_extract, :plan, "$.step") => step) if step
          found = found.where(Sequel.like(:day, "#{month}-%")) if month
          found.reverse(:day, :id).limit(limit).map { |row| read(row) }
        end

        # @param class_id [Integer]
        # @return [Rows::Lesson, nil] the lesson of this class that was given last
        def last_given(class_id)
          row = @db[:lessons].where(class_id:).exclude(given_at: nil).reverse(:given_at, :id).first
          row && read(row)
        end

        # @param plan [Core::Teaching::LessonSettings]
        # @param more [Hash] `child_ids`, for whom it is, and `copied_from`, the lesson that it is a copy of
        # @return [Rows::Lesson] the lesson made
        def add(class_id:, day:, plan:, made_at:, **more)
          more = { **more, child_ids: more[:child_ids] && JSON.generate(more[:child_ids]) }
          find(@db[:lessons].insert(class_id:, day:, plan: JSON.generate(plan.to_h), made_at:, changed_at: made_at, **more))
        end

        # What a page has settled is changed by a new plan alone: a check made of its exit is no other version of it.
        # @param changes [Hash] columns by name
        # @return [Rows::Lesson] the lesson as it is now
        # @raise [Missing]
        # @param version [Integer, nil] the one it was changed from; nothing to change whatever there is
        # @raise [ChangedMeanwhile] where there is another by now
        def change(id, version: nil, **changes)
          written = changes.to_h { |name, value| [name, JSON_COLUMNS.include?(name) ? JSON.generate(value) : value] }
          rows = @db[:lessons].where({ id:, version: }.compact)
          written[:version] = Sequel[:version] + 1 if written.key?(:plan)
          raise ChangedMeanwhile if rows.update(written).zero?

          find(id)
        end

        # @return [Array<Rows::Lesson>] those that were given, oldest first
        def taught(class_id) = @db[:lessons].where(class_id:).exclude(given_at: nil).order(:given_at, :id).map { |row| read(row) }

        # Lessons back from which the pace of a class is taken.
        PACED = Core::Teaching::TeachingNumbers.of(:paced_lessons)

        # @return [Core::Teaching::Pacing] as things took in the lessons that were given last
        def pacing(class_id)
          took = taught(class_id).last(PACED).flat_map { |lesson| lesson.seconds.to_a }
          by_kind = took.group_by { |timing| timing[:kind].to_sym }
          Core::Teaching::Pacing.new(by_kind.transform_values { |timings| timings.map { |timing| timing[:seconds] } })
        end

        # @return [Rows::Lesson, nil] the copy of a lesson for a day
        def copy_of(id, day)
          row = @db[:lessons].where(copied_from: id, day:).reverse(:id).first
          row && read(row)
        end

        private

        def read(row) = Rows::Lesson.of(row)
      end
    end
  end
end
