# frozen_string_literal: true

module Vantick
  class CLI
    # `mark < answers.csv`: the same rows with what was made of each answer.
    class Mark < Command
      NEEDED = %w[task time answer].freeze
      ADDED = %w[verdict misreadings read_as].freeze

      def run(arguments)
        left = parse(arguments)
        raise UsageError, "mark takes no #{Core.excerpt(left.first)}: it reads CSV from standard input" if left.any?

        table = CSV.parse(text, headers: true)
        missing = NEEDED - table.headers.compact
        raise UsageError, "the first line must name the columns task,time,answer: #{missing.join(', ')} missing" if missing.any?

        rows = table.each.with_index(2) { |row, number| add(row, number) }
        @output.write(CSV.generate { |csv| [table.headers.union(ADDED), *rows.map(&:fields)].each { |row| csv << row } })
      end

      private

      # Spreadsheets put a mark before UTF-8; it belongs to no column.
      def text
        given = @input.read.force_encoding(Encoding::UTF_8)
        raise UsageError, "the answers are not UTF-8 text: save the file as CSV UTF-8" unless given.valid_encoding?

        given.delete_prefix("\uFEFF")
      end

      def add(row, number)
        marked = Core::Marker.mark(task: Core::Task.find(row["task"]), time: Core::DialTime.parse(row["time"]), text: row["answer"].to_s)
        row["verdict"] = marked.verdict
        row["misreadings"] = marked.misreadings.join(" ")
        row["read_as"] = marked.read_as
      rescue Core::Error => e
        raise UsageError, "line #{number}: #{e.message}"
      end
    end
  end
end
