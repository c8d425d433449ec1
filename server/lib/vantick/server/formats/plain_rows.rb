# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # Rows of a table that somebody made by hand: its columns are found by their names.
      class PlainRows
        # @param rows [Array<Array(Array<String, nil>, Integer)>] the cells of each line, and its number; no empty ones
        def initialize(rows)
          head, *@rows = rows
          names = head.to_a.first.to_a.map { |cell| cell.to_s.downcase.gsub(/[^[:alnum:]]/, "") }
          @given, @family, @id = [Roster::GIVEN, Roster::FAMILY, Roster::IDS].map { |called| names.index { |one| called.include?(one) } }
        end

        # @return [Boolean] whether there is a line of names over it
        def named? = !@given.nil?

        # @return [Array<Roster::Listed>]
        # @raise [Core::Error] naming the line
        def children = @rows.map { |row, line| child(row, line) }

        private

        def child(row, line)
          name = row[@given].to_s.strip
          raise Core::Error.new("Line #{line}: the first name is missing.", field: :file) if name.empty?

          Roster::Listed.new(@id && row[@id].to_s.strip, name, @family ? row[@family].to_s.strip : "")
        end
      end
    end
  end
end
