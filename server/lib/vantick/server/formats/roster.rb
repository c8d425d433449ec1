# frozen_string_literal: true

require "csv"

module Vantick
  module Server
    module Formats
      # Classes and children as other programs list them: a OneRoster bundle, a table, or names one under the other.
      class Roster
        # A child as a list has it.
        Listed = Struct.new(:source_id, :given, :family)
        # A class as a list has it; of a plain list there is one, without a name, and what its commas were taken for where that is
        # not certain, or how its table was read ({ChildTable#told}). Of a bundle: what tells it from others, and who was left out.
        ListedClass = Struct.new(:source_id, :title, :children, :commas, :table, :about, :left_out)
        # What parts cells; where several stand in a list without names of columns, the first of these.
        SIGNS = ["\t", ";", "|", ","].freeze
        # How a spreadsheet says what parts cells, in a line of its own.
        SAID = /\Asep=(.)\s*\n/i
        # Before the name of a class that has no id.
        NAMED = "name:"
        # So many of the first lines show what parts cells.
        SEEN = 20

        # @param bytes [String]
        # @param options [Hash] what a teacher said: `commas` of a plain list ({Core::Wording::NameList::COMMAS}), `columns` and `skipped`
        #   lines of a table ({ChildTable}); `classes`, whether a table is parted by its column of classes; and `today`, as
        #   enrolments end; `typed`, whether somebody typed the names just now: a few are taken as they are
        # @return [Array<ListedClass>]
        # @raise [Core::Error] naming file and line
        def self.read(bytes, options = {})
          bundle = RosterBundle.new(Bundle.read(bytes), options[:today]) if Bundle.zip?(bytes)
          classes = bundle ? bundle.classes : tables(Bundle.text(bytes), options)
          # A table is shown even so: another column may have the names.
          if classes.sum { |listed_class| listed_class.children.length }.zero? && classes.none?(&:table)
            raise Core::Error.new("This file has no children.", field: :file)
          end

          classes
        end

        # Of a table the classes that its column of classes has, where they are wanted; else what is there is one class.
        def self.tables(text, options)
          whole = plain(text, options)
          found = whole.table && options[:classes] && table(text, options).by_class
          return [whole] unless found

          found.map do |title, (children, left_out)|
            ListedClass.new("#{NAMED}#{title}", title, NameTidier.tidy(children), nil, nil, nil, left_out)
          end
        end

        # A table with a line of names over it, or names alone.
        # @param text [String]
        # @param options [Hash] as {read}
        # @return [ListedClass]
        # @raise [Core::Error] naming the line
        def self.plain(text, options = {})
          table = table(text, options)
          return ListedClass.new(nil, nil, NameTidier.tidy(table.children), nil, table.summary) if table.table?

          lines = text.gsub(/\r\n?/, "\n")
          names_alone(rows(lines, SIGNS.find { |sign| lines.include?(sign) } || ","), options)
        end

        def self.names_alone(rows, options)
          titles = titles(rows)
          list = Core::Wording::NameList.new(rows.drop(titles.length), commas: options[:commas]&.to_sym)
          children = list.children.map { |child| Listed.new(nil, child.given, child.family) }
          ListedClass.new(nil, nil, NameTidier.tidy(children, few: options[:typed]), list.commas, nil, nil,
                          titles.map { |cells, line| "Line #{line}: “#{cells.join(',').strip}” is not a name." })
        end

        # Where nothing else is on the list, these are names: "Group A", "Group B".
        def self.titles(rows)
          found = rows.take_while { |cells, _| cells.any? { |cell| ColumnNames.title?(cell.to_s) } }
          found.length == rows.length ? [] : found
        end

        def self.table(text, options)
          lines = text.gsub(/\r\n?/, "\n")
          sign = lines[SAID, 1]
          lines = lines.sub(SAID, "\n") if sign
          ChildTable.new(rows(lines, sign || usual(lines)), columns: options[:columns], skipped: options.fetch(:skipped, []))
        end

        # What stands in most of the first lines.
        def self.usual(lines)
          first = lines.each_line.first(SEEN)
          SIGNS.max_by.with_index { |sign, place| [first.count { |line| line.include?(sign) }, -place] }
        end

        def self.rows(lines, sign)
          read = CSV.parse(lines, col_sep: sign, liberal_parsing: true)
          read.each.with_index(1).reject { |row, _| row.all? { |cell| cell.to_s.strip.empty? } }
        rescue CSV::MalformedCSVError => e
          raise Core::Error.new("Line #{e.line_number} can't be read. Check its quotation marks.", field: :file)
        end
        private_class_method :rows, :usual, :table, :tables, :names_alone, :titles
      end
    end
  end
end
