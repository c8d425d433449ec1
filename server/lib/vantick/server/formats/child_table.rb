# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # A table of children that another program wrote, or somebody by hand. Its line of names may stand below a title; which columns are
      # names and ids is guessed, shown, and said otherwise by a teacher. A row without a name is left out, never the whole table.
      class ChildTable
        # The line of names is one of the first; so many of the columns and rows are shown (judgement: all of a class).
        HEAD_WITHIN = 10
        COLUMNS = 12
        ROWS = 150
        # A name: letters, and what stands between them. Longer ones are none (judgement).
        NAME = /\A[[:alpha:]][[:alpha:]\p{M}'’ .,()-]*\z/
        LONGEST = Core::Wording::NameList::LONGEST
        # See `columns.yml`.
        MOST = ColumnNames::TABLE[:most]
        # What has a first name, the first choice first.
        GIVEN = %i[preferred given full].freeze
        # How a row is left out.
        WHY = { above: "above the table", head: "names of columns", skipped: "struck out", nameless: "no name",
                long: "too long a name" }.freeze

        # @param rows [Array<Array(Array<String, nil>, Integer)>] the cells of each line, and its number; no empty ones
        # @param columns [Hash{Symbol => Integer, nil}, nil] `given`, `family` and `id`, from 0, where a teacher said so
        # @param skipped [Array<Integer>] lines that a teacher struck out
        def initialize(rows, columns: nil, skipped: [])
          @rows = rows.map { |cells, line| [cells.map { |cell| cell.to_s.strip }, line] }
          @skipped = skipped
          @head = @rows.first(HEAD_WITHIN).index { |cells, _| head?(cells) }
          @chosen = columns
          @columns = columns || (@head ? by_name(@rows[@head].first) : by_cells)
        end

        # @return [Boolean] whether this is a table at all, and no list of names
        def table? = !@chosen.nil? || !@head.nil? || (!@columns[:given].nil? && others?)

        # @return [Array<Roster::Listed>]
        def children = read.filter_map { |row| row[:child] }

        # @return [Hash{String => Array(Array<Roster::Listed>, Array<String>)}, nil] by class its children, and which lines are left out
        #   and why, where a column says which class it is
        def by_class
          at = class_column or return
          named = read.drop(@head + 1).reject { |row| row[:cells][at].to_s.empty? }
          named.group_by { |row| row[:cells][at] }.transform_values { |rows| parted(rows) }
        end

        # @return [Hash] as it is shown: `columns`, each its name and what it is; `rows`, each its line, cells, and the place of its child
        #   on the list, or why it is left out
        def summary
          at = -1
          names = @head ? @rows[@head].first : []
          { columns: Array.new([width, COLUMNS].min) { |place| { name: names[place].to_s, is: @columns.key(place)&.to_s } },
            rows: read.first(ROWS).map do |row|
              { line: row[:line], cells: row[:cells].first(COLUMNS), child: (at += 1 if row[:child]), why: row[:why] }
            end }
        end

        private

        def class_column = @head && best(@rows[@head].first, :class)

        # @return [Array(Array<Roster::Listed>, Array<String>)] the children, and which lines are left out and why
        def parted(rows)
          children, others = rows.partition { |row| row[:child] }
          [children.map { |row| row[:child] }, others.map { |row| "Line #{row[:line]}: #{row[:why]}." }]
        end

        def head?(names) = names.any? { |name| GIVEN.include?(ColumnNames.kind(name)) }

        def width = @rows.map { |cells, _| cells.length }.max.to_i

        def by_name(names)
          { given: given_columns(names).first, family: names.index { |name| ColumnNames.kind(name) == :family }, id: best(names, :id) }
        end

        # The column whose name is the best for it.
        def best(names, what)
          names.each_index.select { |at| ColumnNames.place(names[at], what) }.min_by { |at| ColumnNames.place(names[at], what) }
        end

        def given_columns(names)
          kinds = names.map { |name| ColumnNames.kind(name) }
          GIVEN.flat_map { |kind| kinds.each_index.select { |at| kinds[at] == kind } }
        end

        # Without names of columns: of two with names the first has family names (common practice, no source). No column is taken for ids by
        # itself: numbers may only count the rows, and the next list would make another child of each.
        def by_cells
          named = (0...width).select { |at| names_in?(at) }
          { given: named[named.length > 1 ? 1 : 0], family: (named[0] if named.length > 1), id: nil }
        end

        def column(at) = @rows.map { |cells, _| cells[at].to_s }

        def names_in?(at) = column(at).count { |cell| name?(cell) && cell.length > 1 } > @rows.length * MOST

        # A column beside the names that has none, as dates and numbers.
        def others?
          @rows.length > 1 && width > 1 && (0...width).any? { |at| column(at).count { |cell| cell.match?(/\d/) } > @rows.length * MOST }
        end

        def name?(cell) = cell.match?(NAME)

        def read = @read ||= @rows.each_with_index.map { |(cells, line), at| { line:, cells:, **row(cells, line, at) } }

        def row(cells, line, at)
          return { why: WHY[at == @head ? :head : :above] } if @head && at <= @head
          return { why: WHY[:skipped] } if @skipped.include?(line)

          given, family = names(cells)
          return { why: WHY[:nameless] } if given.empty?
          return { why: WHY[:long] } if [given, family].any? { |name| name.length > LONGEST }

          { child: Roster::Listed.new((cells[@columns[:id]].to_s if @columns[:id]), given, family) }
        end

        # Where only one column has names, both may stand in it; without a comma {NameTidier} tells them apart.
        def names(cells)
          given = spare(cells).map { |at| Core::Wording::NameList.bare(cells[at]) }.find { |cell| name?(cell) }.to_s
          return [given, cells[@columns[:family] || width].to_s] if given.empty? || @columns[:family]

          given.include?(",") ? given.split(",", 2).map(&:strip).reverse : [given, ""]
        end

        # A child without a preferred name has the other one.
        def spare(cells)
          return [@columns[:given]].compact unless @head && !@chosen && cells[@columns[:given]].to_s.empty?

          [@columns[:given], *given_columns(@rows[@head].first)].uniq
        end
      end
    end
  end
end
