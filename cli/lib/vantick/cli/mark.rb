# frozen_string_literal: true

module Vantick
  class CLI
    # `mark < answers.csv`: the same rows with what was made of each answer.
    class Mark < Command
      NEEDED = %w[task time answer].freeze
      ADDED = %w[verdict misreadings read_as].freeze

      def run(arguments)
        nothing_left(parse(arguments) { |parser| conventions_option(parser) })
        table = AnswerTable.new(@input, needed: NEEDED)
        rows = table.map { |row| add(row, table.mark(row, conventions)) }
        @output.write(CSV.generate { |csv| [table.rows.headers.union(ADDED), *rows.map(&:fields)].each { |row| csv << row } })
      end

      private

      def add(row, marked)
        row["verdict"] = marked.told
        row["misreadings"] = marked.causes.join(" ")
        row["read_as"] = marked.read_as
        row
      end
    end
  end
end
