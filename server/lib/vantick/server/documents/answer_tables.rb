# frozen_string_literal: true

require "csv"

module Vantick
  module Server
    module Documents
      # Answers as a table: out as CSV (RFC 4180), in from CSV or pasted from a spreadsheet.
      module AnswerTables
        # A row that cannot be taken says which and why.
        NAME = "child"
        # How the line of names may begin.
        HEADS = [NAME, "name"].freeze
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
          # @return [String] children down, clocks across
          def csv(check, school_class, answers)
            given = answers.to_h { |answer| [[answer[:child_id], answer[:item_id]], answer[:answer]] }
            CSV.generate do |csv|
              csv << [NAME, *(1..most(check)).map { |number| "clock #{number}" }]
              school_class[:children].each do |child|
                csv << [safe(child[:name]), *items_of(check, child).map { |item| safe(given[[child[:id], item[:id]]].to_s) }]
              end
            end
          end

          # @param columns [Array<Symbol>]
          # @param rows [Array<Hash>]
          # @return [String] one row each
          def rows(columns, rows)
            CSV.generate do |csv|
              csv << columns
              rows.each { |row| csv << row.values_at(*columns).map { |cell| safe(Array(cell).join(" ")) } }
            end
          end

          # @param text [String] names first, then answers in the order of the clocks; commas, semicolons or tabs between
          # @return [Array<Hash>] `child_id`, `item_id` and `answer` of every place that is not empty
          # @raise [Core::Error] naming the row
          def read(text, check, school_class)
            # Lines end in one way and cells may hold the other: a spreadsheet's own break within a cell ends no line.
            plain = text.scrub("?").gsub(/\r\n?/, "\n")
            rows = CSV.parse(plain, col_sep: separator(plain), liberal_parsing: true).each.with_index(1).to_a
            rows.reject! { |row, _| row.all? { |cell| cell.to_s.strip.empty? } }
            rows.shift if rows.first && HEADS.include?(rows.first.first.first.to_s.strip.downcase)
            seen = {}
            rows.flat_map { |row, number| answers(row, number, check, once(row, number, school_class, seen)) }
          rescue CSV::MalformedCSVError => e
            raise Core::Error.new("The table cannot be read near line #{e.line_number}: check its quotation marks.", field: :table)
          end

          private

          def items_of(check, child) = check[:items].select { |item| [nil, child[:id]].include?(item[:child_id]) }

          def most(check) = check[:items].map { |item| item[:child_id] }.tally.values.max || 0

          def separator(text) = ["\t", ";", ","].max_by.with_index { |sign, place| [text.lines.first.to_s.count(sign), -place] }

          # A spreadsheet takes what begins like this for a formula.
          def safe(text) = text.gsub(RISKY, "\\1\\2'\\3")

          # As it was before it was made safe.
          def plain(cell) = cell.to_s.strip.gsub(ESCAPED, "\\1\\2\\3")

          # @return [Hash] the child of a row, that no row before it was about
          def once(row, number, school_class, seen)
            child = named(plain(row.first), number, school_class)
            before = seen[child[:id]]
            raise Core::Error.new("Row #{number}: #{child[:name]} stands in row #{before} already.", field: :table) if before

            seen[child[:id]] = number
            child
          end

          def answers(row, number, check, child)
            items = items_of(check, child)
            given = row.drop(1).map { |cell| plain(cell) }
            too_many(number, child[:name], items) if given.drop(items.length).any? { |cell| !cell.empty? }
            filled = items.zip(given).reject { |_, answer| answer.to_s.empty? }
            filled.map { |item, answer| { child_id: child[:id], item_id: item[:id], answer: } }
          end

          def named(name, number, school_class)
            folded = Core::Wording::ChildNames.folded(name)
            school_class[:children].find { |one| Core::Wording::ChildNames.folded(one[:name]) == folded } ||
              raise(Core::Error.new("Row #{number}: nobody in the class is called #{name.inspect}.", field: :table))
          end

          def too_many(number, name, items)
            raise Core::Error.new("Row #{number}: #{name} has more answers than the #{items.length} clocks.", field: :table)
          end
        end
      end
    end
  end
end
