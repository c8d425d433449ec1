# frozen_string_literal: true

module Vantick
  class CLI
    # A table of answers from standard input: CSV with a first line that names its columns.
    class AnswerTable
      # @return [CSV::Table]
      attr_reader :rows

      # @param input [IO]
      # @param needed [Array<String>] columns
      # @raise [UsageError] in one line that names what is missing
      def initialize(input, needed:)
        @rows = CSV.parse(text(input), headers: true)
        missing = needed - rows.headers.compact
        raise UsageError, "the first line must name the columns #{needed.join(',')}: #{missing.join(', ')} missing" if missing.any?
      end

      # Yields each row; what is wrong with it is told with its line.
      # @return [Array] what the block gives
      def map
        rows.each.with_index(2).map do |row, number|
          yield row
        rescue Core::Error, UsageError => e
          raise UsageError, "line #{number}: #{e.message}"
        end
      end

      # Children write the same again and again: it is looked up.
      # @param row [CSV::Row]
      # @param conventions [Core::Wording::Conventions] the same for the whole table
      # @return [Core::Marking::Marked]
      def mark(row, conventions)
        (@marked ||= {})[row.values_at("task", "time", "answer", "said")] ||= marked(row, conventions)
      end

      private

      def marked(row, conventions)
        task = Core::Marking::Task.find(row["task"])
        Core::Marking::Marker.mark(conventions:, task:, time: task.parse_time(row["time"]), text: row["answer"].to_s, said: row["said"])
      end

      # Spreadsheets put a mark before UTF-8; it belongs to no column.
      def text(input)
        given = input.read.force_encoding(Encoding::UTF_8)
        raise UsageError, "the answers are not UTF-8 text: save the file as CSV UTF-8" unless given.valid_encoding?

        given.delete_prefix("\uFEFF")
      end
    end
  end
end
