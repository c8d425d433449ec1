# frozen_string_literal: true

module Vantick
  class CLI
    # `mark < answers.csv`: the same rows with what was made of each answer, as they come.
    class Mark < Command
      NEEDED = %w[task time answer].freeze
      ADDED = %w[verdict misreadings read_as].freeze

      def run(arguments)
        nothing_left(parse(arguments) { |parser| conventions_option(parser) })
        table = AnswerTable.new(@input, needed: NEEDED)
        headers = table.headers.union(ADDED)
        begun = false
        table.map do |row|
          added = add(row, table.mark(row, conventions))
          write(headers, table) unless begun
          begun = true
          write(added.fields, table)
        end
        write(headers, table) unless begun
      end

      private

      def write(cells, table)
        @output.write(CSV.generate_line(cells, col_sep: table.sign))
        @output.flush
      end

      def add(row, marked)
        row["verdict"] = marked.verdict_for_class
        row["misreadings"] = marked.causes.join(" ")
        row["read_as"] = marked.read_as
        row
      end
    end
  end
end
