# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # Rows of a table that somebody made by hand: its columns are found by their names, or there is but one.
      class PlainRows
        # @param rows [Array<Array<String, nil>>]
        def initialize(rows)
          @rows = rows.each.with_index(1).reject { |row, _| row.all? { |cell| cell.to_s.strip.empty? } }
          head = @rows.first.to_a.first.to_a.map { |cell| cell.to_s.downcase.gsub(/[^[:alnum:]]/, "") }
          @given, @family, @id = [Roster::GIVEN, Roster::FAMILY, Roster::IDS].map { |names| head.index { |one| names.include?(one) } }
          @named = !@given.nil?
        end

        # @return [Array<Roster::Listed>]
        # @raise [Core::Error] naming the line
        def children = (@named ? @rows.drop(1) : @rows).flat_map { |row, line| @named ? [child(row, line)] : names(row, line) }

        private

        def child(row, line)
          name = row[@given].to_s.strip
          raise Core::Error.new("Line #{line}: there is no first name.", field: :file) if name.empty?

          Roster::Listed.new(@id && row[@id].to_s.strip, name, @family ? row[@family].to_s.strip : "")
        end

        # Without a line of names every cell is a child.
        def names(row, line)
          row.map { |cell| cell.to_s.strip }.reject(&:empty?).map do |name|
            raise Core::Error.new("Line #{line}: “#{name[0, 20]}…” is too long for a name.", field: :file) if name.length > 60

            Roster::Listed.new(nil, name, "")
          end
        end
      end
    end
  end
end
