# frozen_string_literal: true

module Vantick
  class CLI
    # A table of answers from standard input, row by row: CSV with a first line that names its columns, between commas, semicolons or tabs.
    class AnswerTable
      SIGNS = [",", ";", "\t"].freeze
      NOT_UTF8 = "the answers are not UTF-8 text: save the file as CSV UTF-8"

      # @return [Array<String>] names of columns
      attr_reader :headers
      # @return [String] what parts cells
      attr_reader :sign

      # @param input [IO]
      # @param needed [Array<String>] columns
      # @raise [UsageError] in one line that names what is missing
      def initialize(input, needed:)
        first = utf8(input.gets.to_s).delete_prefix("\uFEFF")
        @sign = SIGNS.max_by { |sign| first.count(sign) }
        @headers = CSV.parse_line(first, col_sep: sign).to_a
        missing = needed - headers
        raise UsageError, "the first line must name the columns #{needed.join(',')}: #{missing.join(', ')} missing" if missing.any?

        @input = input
        @line = 1
      end

      # Yields each row as soon as it is there; what is wrong with it is told with its line.
      # @return [Array] what the block gives
      def map
        found = []
        while (text = following)
          row = CSV.parse_line(text, headers:, col_sep: sign)
          found << write_rows { yield row } if row&.fields&.any?
        end
        found
      end

      # Children write the same again and again: it is looked up.
      # @param row [CSV::Row]
      # @param conventions [Core::Wording::Conventions] the same for the whole table
      # @return [Core::Marking::MarkedAnswer]
      def mark(row, conventions)
        (@marked ||= {})[row.values_at("task", "time", "answer", "said")] ||= marked(row, conventions)
      end

      private

      # A row, as soon as its line is there: one whose quotes are open goes on in the next.
      def following
        text = line or return
        while text.count('"').odd? && (more = line)
          text += more
        end
        text
      end

      def line
        @line += 1
        @input.gets&.then { |text| utf8(text) }
      end

      def write_rows
        yield
      rescue Core::Error, UsageError => e
        raise UsageError, "line #{@line}: #{e.message}"
      end

      def marked(row, conventions)
        task = Core::Tasks::Task.find(row["task"])
        Core::Marking::Marker.mark(conventions:, task:, time: task.parse_time(row["time"]), text: row["answer"].to_s, said: row["said"])
      end

      # Spreadsheets put a mark before UTF-8; it belongs to no column.
      def utf8(text)
        text = text.dup.force_encoding(Encoding::UTF_8)
        text.valid_encoding? ? text : raise(UsageError, NOT_UTF8)
      end
    end
  end
end
