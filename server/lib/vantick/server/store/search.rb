# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Children, checks, sheets and lessons by what a teacher remembers of them: a name, a code, a step, a month.
      class Search
        # Found of each kind, and looked at of each class, the newest.
        MOST = 8
        LOOKED_AT = 400
        MONTHS = %w[January February March April May June July August September October November December].freeze

        # @param database [Sequel::Database]
        # @param classes [Array<Rows::SchoolClass>] where it is looked
        def initialize(database, classes)
          @db = database
          @classes = classes.to_h { |school_class| [school_class.id, school_class.name] }
        end

        # @param text [String] words in any order, or their beginnings
        # @return [Array<Hash>] `kind`, `id`, `class_id`, `class_name`, and `name`, `step`, `task`, `code`, `at` as there are
        def find(text)
          words = folded(text).split
          return [] if words.empty?

          [children, checks, lessons].flat_map { |rows| rows.select { |row| fits?(row, words) }.first(MOST) }
        end

        private

        def folded(text) = Core::Wording::ChildNames.folded(text)

        # Each word begins one of the row's.
        def fits?(row, words)
          own = folded(result_text(row)).split(/[^[:alnum:]]+/)
          words.all? { |word| own.any? { |word_of_name| word_of_name.start_with?(word) } }
        end

        def result_text(row)
          day = row[:at] && Date.iso8601(row[:at][0, 10])
          step = row[:step] && Core::Curriculum::Step.find(row[:step]).name
          task = row[:task] && Core::Tasks::Task.find(row[:task]).name
          [row[:name], row[:code], step, task, row[:kind], row[:class_name],
           day && "#{day.day} #{MONTHS[day.month - 1]} #{day.year}"].join(" ")
        end

        def children
          rows = @db[:children].where(class_id: @classes.keys).order(Sequel.~(left_at: nil), :class_id, :position)
          rows.select(:id, :class_id, :name).map { |row| result_row(:child, row) }
        end

        # Practice at the desks is none.
        def checks
          practice = @db[:desks].where(check_id: Sequel[:checks][:id], kind: Checks::OWN_TASKS).exists
          rows = @db[:checks].where(class_id: @classes.keys).exclude(practice).reverse(:id).limit(LOOKED_AT)
          rows.select(:id, :class_id, :step, :task, :code, Sequel[:made_at].as(:at)).map { |row| result_row(:check, row) }
        end

        def lessons
          rows = @db[:lessons].where(class_id: @classes.keys).reverse(:day, :id).limit(LOOKED_AT).select(:id, :class_id, :day, :plan)
          rows.map do |row|
            result_row(:lesson, { **row.slice(:id, :class_id), at: row[:day], step: JSON.parse(row[:plan])["step"] })
          end
        end

        def result_row(kind, row) = { kind:, **row, class_name: @classes.fetch(row[:class_id]) }
      end
    end
  end
end
