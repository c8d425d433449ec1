# frozen_string_literal: true

require "csv"

module Vantick
  module Server
    module Documents
      # Answers as a table: out as CSV (RFC 4180), in by {AnswerRows}.
      module AnswerTables
        NAME = "child"
        # Stands in the cells of a child who came later than the check; read back it is no answer.
        NOT_HERE = "not here then"
        # By which spreadsheets know that letters are UTF-8.
        MARK = "\uFEFF"
        # What a spreadsheet takes for the beginning of a formula, also in full width; and `'`, so that what was there before can
        # be told from what was put there.
        FORMULA = "=+@\\-＝＋＠－'"
        # At the beginning, and after whatever another spreadsheet takes for the end of a cell. A sign alone is a dash.
        RISKY = /(\A|[,;\t\r\n])([[:space:]]*)([#{FORMULA}])(?=.)/m
        ESCAPED = /(\A|[,;\t\r\n])([[:space:]]*)'([#{FORMULA}])/m

        class << self
          # @param check [Hash]
          # @param school_class [Hash]
          # @param answers [Array<Hash>] those that stand
          # @param later [Array<Integer>] children who were not here then
          # @return [String] children down, clocks across
          def csv(check, school_class, answers, later: [])
            given = answers.to_h { |answer| [[answer.child_id, answer.item_id], answer.answer] }
            MARK + CSV.generate do |csv|
              csv << [NAME, *(1..most(check)).map { |number| "clock #{number}" }]
              school_class.children.each do |child|
                csv << [safe(child.name), *items_of(check, child).map do |item|
                  later.include?(child.id) ? NOT_HERE : safe(given[[child.id, item.id]].to_s).then { |cell| cell unless cell.empty? }
                end]
              end
            end
          end

          # @param columns [Array<Symbol>]
          # @param rows [Array<Hash>]
          # @return [String] one row each
          def rows(columns, rows)
            MARK + CSV.generate do |csv|
              csv << columns
              rows.each { |row| csv << row.values_at(*columns).map { |cell| safe(Array(cell).join(" ")) } }
            end
          end

          # @param text [String] commas, semicolons or tabs between
          # @return [Array<Hash>] `child_id`, `item_id` and `answer` of every place that is not empty
          # @raise [Core::Error] naming the row
          def read(text, check, school_class) = AnswerRows.new(check, school_class).read(text)

          # @return [Array<Rows::Item>] those that a child has
          def items_of(check, child) = check.items.select { |item| [nil, child.id].include?(item.child_id) }

          # @return [Integer] clocks that a child has at most
          def most(check) = check.items.map(&:child_id).tally.values.max || 0

          # As it was before it was made safe.
          def plain(cell) = cell.to_s.gsub(/[\u00a0\u2007\u202f]/, " ").strip.gsub(ESCAPED, "\\1\\2\\3")

          private

          # A spreadsheet takes what begins like this for a formula.
          def safe(text) = text.gsub(RISKY, "\\1\\2'\\3")
        end
      end
    end
  end
end
