# frozen_string_literal: true

require "csv"

module Vantick
  module Server
    module Documents
      # A table of answers read: children down and clocks across, with a line of names before them or without. Which column is which is
      # read there, in any order; without one, names come first and then the clocks in their order.
      class AnswerRows
        # What the column of children may be called.
        HEADS = [AnswerTables::NAME, "name", "children", "names", "first name"].freeze
        CLOCK = /\A(?:clock|dial|no\.?|nr\.?|#)?\s*(\d{1,2})\z/
        # By which some spreadsheets say what stands between cells.
        SEPARATOR = /\A\s*"?sep=(.)"?\s*\n/i
        # Seconds that a spreadsheet adds, and a time as a part of a day.
        SECONDS = /\A(\d{1,2}:\d{2}):00\z/
        PART_OF_A_DAY = /\A0?[.,]\d{3,}\z/
        # Of "8.30" a spreadsheet leaves "8.3".
        SHORTENED = /\A(\d{1,2})\.(\d)\z/
        MINUTES_OF_A_DAY = 1440

        # @param check [Hash]
        # @param school_class [Hash]
        def initialize(check, school_class)
          @check = check
          @class = school_class
          @children = school_class.children.to_h { |child| [folded(child.name), child] }
          @point = school_class.wording.sign == "."
        end

        # @param text [String]
        # @return [Array<Hash>] `child_id`, `item_id` and `answer` of every place that is not empty
        # @raise [Core::Error] naming the row
        def read(text)
          rows = numbered(text)
          columns = head(rows.first.first) if rows.any?
          rows.shift if columns
          seen = {}
          rows.flat_map { |row, number| answers(row, number, columns || {}, once(row, number, columns, seen)) }
        rescue CSV::MalformedCSVError => e
          refuse("The table can't be read near line #{e.line_number}. Check its quotation marks.")
        end

        private

        # Lines end in one way and cells may hold the other: a spreadsheet's own break within a cell ends no line.
        def numbered(text)
          plain = text.scrub("?").delete_prefix(AnswerTables::MARK).gsub(/\r\n?/, "\n")
          named = plain[SEPARATOR, 1]
          rows = CSV.parse(plain.sub(SEPARATOR, ""), col_sep: named || separator(plain), liberal_parsing: true)
          rows.each.with_index(named ? 2 : 1).reject { |row, _| row.all? { |cell| AnswerTables.plain(cell).empty? } }
        end

        def separator(text) = ["\t", ";", ","].max_by.with_index { |sign, place| [text.lstrip.lines.first.to_s.count(sign), -place] }

        # @return [Hash{Symbol, Integer => Integer}, nil] the column of the child and of each clock; nothing where it is no line of names
        def head(row)
          names = row.map { |cell| AnswerTables.plain(cell).downcase }
          child = names.index { |name| HEADS.include?(name) } or return
          clocks = names.each_with_index.filter_map { |name, at| [clock(name), at] unless at == child || name.empty? }
          whole(clocks.map(&:first))
          { child:, **clocks.to_h.compact }
        end

        # By its number, or by what it shows where no other clock shows it.
        def clock(name)
          number = name[CLOCK, 1] and return number.to_i.clamp(0, 99)
          alike = @check.items.select { |item| item.child_id.nil? && item.time == name }
          return @check.items.index(alike.first) + 1 if alike.one?

          refuse("Row 1: #{Core.excerpt(name)} is not a clock. Write clock 1, clock 2 and so on.")
        end

        def whole(clocks)
          twice = clocks.tally.find { |_, many| many > 1 }
          refuse("Row 1: clock #{twice.first} has two columns.") if twice
          missing = (1..AnswerTables.most(@check)).to_a - clocks
          refuse("Row 1: there is no column for clock #{missing.first}.") if missing.any?
        end

        # @return [Hash] the child of a row, that no row before it was about
        def once(row, number, columns, seen)
          child = named(AnswerTables.plain(row[columns ? columns[:child] : 0]), number)
          before = seen[child.id]
          refuse("Row #{number}: #{child.name} is already in row #{before}.") if before

          seen[child.id] = number
          child
        end

        def answers(row, number, columns, child)
          items = AnswerTables.items_of(@check, child)
          given = columns.empty? ? row.drop(1) : in_order(row, columns)
          given = given.map { |cell| AnswerTables.plain(cell).then { |text| text == AnswerTables::NOT_HERE ? "" : as_written(text) } }
          too_many(number, child.name, items) if given.drop(items.length).any? { |cell| !cell.empty? }
          filled = items.zip(given).reject { |_, answer| answer.to_s.empty? }
          filled.map { |item, answer| { child_id: child.id, item_id: item.id, answer: } }
        end

        def in_order(row, columns) = (1..columns.except(:child).keys.max.to_i).map { |number| columns[number] && row[columns[number]] }

        # As a child wrote it, before a spreadsheet made a time of it.
        def as_written(cell)
          return cell[SECONDS, 1] if SECONDS.match?(cell)
          return of_a_day(cell.tr(",", ".").to_f) if PART_OF_A_DAY.match?(cell)

          @point ? cell.sub(SHORTENED, '\1.\20') : cell
        end

        def of_a_day(part)
          hours, minutes = (part * MINUTES_OF_A_DAY).round.divmod(60)
          format("%<hours>d:%<minutes>02d", hours:, minutes:)
        end

        # Typographic apostrophes are what spreadsheets make of plain ones.
        def folded(name) = Core::Wording::ChildNames.folded(name.tr("’‘ʼ`´", "'"))

        def named(name, number) = @children[folded(name)] || refuse("Row #{number}: no child in the class is called #{name.inspect}.")

        def too_many(number, name, items) = refuse("Row #{number}: #{name} has more answers than the #{items.length} clocks.")

        def refuse(words) = raise(Core::Error.new(words, field: :table))
      end
    end
  end
end
