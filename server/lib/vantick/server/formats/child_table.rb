# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # A table of children that another program wrote, or somebody by hand. Its line of names may stand below a title; which columns are
      # names and ids is guessed, shown, and said otherwise by a teacher. A row without a name is left out, never the whole table.
      class ChildTable
        # What columns are called, in lower letters and without what is no letter, the first choice first (common practice, no source).
        PREFERRED = %w[preferredname preferredfirstname preferredgivenname knownas calledname callname usualname nickname rufname].freeze
        GIVEN = %w[givenname firstname first forename vorname legalfirstname legalgivenname legalforename].freeze
        FULL = %w[name fullname child childname childsname student studentname pupil pupilname learner learnername].freeze
        FAMILY = %w[familyname lastname last surname nachname legallastname legalfamilyname legalsurname].freeze
        IDS = %w[sourcedid id identifier studentid pupilid childid learnerid studentnumber pupilnumber].freeze
        CLASSES = %w[class classname classtitle form formgroup group tutorgroup registrationgroup homeroom section room].freeze
        # The line of names is one of the first; so many of the columns and rows are shown (judgement: all of a class).
        HEAD_WITHIN = 10
        COLUMNS = 12
        ROWS = 150
        # A name: letters, and what stands between them. Longer ones are none (judgement).
        NAME = /\A[[:alpha:]][[:alpha:]\p{M}'’ .,-]*\z/
        LONGEST = Core::Wording::NameList::LONGEST
        # This part of the rows makes a column what it is (judgement).
        MOST = 0.6
        # How a row is left out.
        WHY = { above: "above the table", head: "names of columns", skipped: "struck out", nameless: "no name",
                long: "too long a name" }.freeze

        # @param rows [Array<Array(Array<String, nil>, Integer)>] the cells of each line, and its number; no empty ones
        # @param columns [Hash{Symbol => Integer, nil}, nil] `given`, `family` and `id`, from 0, where a teacher said so
        # @param skipped [Array<Integer>] lines that a teacher struck out
        def initialize(rows, columns: nil, skipped: [])
          @rows = rows.map { |cells, line| [cells.map { |cell| cell.to_s.strip }, line] }
          @skipped = skipped
          @head = @rows.first(HEAD_WITHIN).index { |cells, _| head?(plain(cells)) }
          @said = columns
          @columns = columns || (@head ? by_name(plain(@rows[@head].first)) : by_cells)
        end

        # @return [Boolean] whether this is a table at all, and no list of names
        def table? = !@said.nil? || !@head.nil? || (!@columns[:given].nil? && others?)

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

        def class_column
          names = @head ? plain(@rows[@head].first) : []
          CLASSES.lazy.filter_map { |name| names.index(name) }.first
        end

        # @return [Array(Array<Roster::Listed>, Array<String>)] the children, and which lines are left out and why
        def parted(rows)
          children, others = rows.partition { |row| row[:child] }
          [children.map { |row| row[:child] }, others.map { |row| "Line #{row[:line]}: #{row[:why]}." }]
        end

        def plain(cells) = cells.map { |cell| cell.downcase.gsub(/[^[:alnum:]]/, "") }

        def head?(names) = [*PREFERRED, *GIVEN, *FULL].intersect?(names)

        def width = @rows.map { |cells, _| cells.length }.max.to_i

        def by_name(names)
          first = ->(called) { called.lazy.filter_map { |name| names.index(name) }.first }
          { given: first[PREFERRED + GIVEN] || first[FULL], family: first[FAMILY], id: first[IDS] }
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

        # Where only one column has names, both may stand in it.
        def names(cells)
          given = spare(cells).map { |at| cells[at].to_s.sub(Core::Wording::NameList::NUMBERED, "") }.find { |cell| name?(cell) }.to_s
          return [given, cells[@columns[:family] || width].to_s] if given.empty? || @columns[:family]
          return given.split(",", 2).map(&:strip).reverse if given.include?(",")

          both? ? given.split(/\s+/, 2).then { |first, last| [first.to_s, last.to_s] } : [given, ""]
        end

        # A child without a preferred name has the other one.
        def spare(cells)
          return [@columns[:given]].compact unless @head && !@said && cells[@columns[:given]].to_s.empty?

          names = plain(@rows[@head].first)
          [@columns[:given], *(GIVEN + FULL).filter_map { |name| names.index(name) }].uniq
        end

        # Most of the names are two.
        def both?
          return @both unless @both.nil?

          cells = column(@columns[:given]).drop(@head ? @head + 1 : 0).reject(&:empty?)
          @both = cells.count { |cell| cell.match?(/\S\s+\S/) } > cells.length * MOST
        end
      end
    end
  end
end
