# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Children as somebody wrote them down: one under the other, between commas, or with the family name before a comma. What a
      # comma means cannot be seen for certain, so whoever reads a list is told how it was taken, and can say otherwise.
      class NameList
        # A child as it was written.
        Written = Struct.new(:given, :family)
        # What a comma (or a tab) means: it stands between children, after a family name, or after a first name.
        COMMAS = %i[between family_first given_first].freeze
        # More letters than this are no name of one child (judgement).
        LONGEST = 60
        # What stands before a name in a numbered list, and a cell that holds a number alone.
        NUMBERED = /\A(?:\d+\s*[.):]|[-*•–])\s*/
        NUMBER = /\A\d+\z/
        # What somebody noted beside a name. One or two letters in brackets tell two children apart.
        NOTE = /\s*\([^()]{3,}\)/

        # @param cell [String, nil]
        # @return [String] the name in it, without the number before it or a note in brackets
        # @example
        #   NameList.bare("2) Mia (new)") # => "Mia"
        def self.bare(cell) = cell.to_s.strip.sub(NUMBERED, "").gsub(NOTE, "").strip

        # @param rows [Array<Array(Array<String, nil>, Integer)>] the cells of each line, and the number of the line
        # @param commas [Symbol, nil] one of {COMMAS}, where somebody said what they mean
        # @example
        #   NameList.new([[%w[Müller Anna], 1], [%w[Weber Tom], 2]]).children.map(&:given) # => ["Anna", "Tom"]
        #   NameList.new([[%w[Anna Ben Cem], 1]]).children.map(&:given)                    # => ["Anna", "Ben", "Cem"]
        def initialize(rows, commas: nil)
          raise Core::Error.new("Commas stand between, family_first or given_first.", field: :commas) unless [nil, *COMMAS].include?(commas)

          @lines = rows.map { |cells, line| [tidy(cells), line] }.reject { |cells, _| cells.empty? }
          @chosen = commas
        end

        # @return [Symbol, nil] how commas were taken, one of {COMMAS}; nothing where there is nothing to choose
        def commas
          return unless @lines.any? { |cells, _| pair?(cells) }

          @chosen || (pairs_alone? ? :family_first : :between)
        end

        # @return [Array<Written>]
        # @raise [Core::Error] naming the line
        def children
          @lines.flat_map do |cells, line|
            written(cells).each do |child|
              long = child.to_a.find { |part| part.length > LONGEST } or next
              raise Core::Error.new("Line #{line}: “#{long[0, 20]}…” is too long for a name.", field: :file)
            end
          end
        end

        private

        def tidy(cells)
          cells.map { |cell| self.class.bare(cell) }.reject { |cell| cell.empty? || cell.match?(NUMBER) }
        end

        # Two names in a line, or a comma within one cell.
        def pair?(cells) = cells.length == 2 || cells.any? { |cell| parts(cell).length == 2 }

        # Most lines hold two names and no line more: so lists with family names are written (common practice, no source). A comma
        # within a cell stands there because another sign parts the children.
        def pairs_alone?
          return true if @lines.any? { |cells, _| cells.any? { |cell| parts(cell).length == 2 } }

          sizes = @lines.map { |cells, _| cells.length }
          sizes.length > 1 && sizes.max == 2 && sizes.count(2) * 2 > sizes.length
        end

        def written(cells)
          return cells.flat_map { |cell| single(cell) } unless %i[family_first given_first].include?(commas)
          return [child(cells)] if cells.length == 2 && cells.all? { |cell| parts(cell).one? }

          cells.flat_map { |cell| parts(cell).length == 2 ? [child(parts(cell))] : single(cell) }
        end

        def single(cell) = parts(cell).map { |name| Written.new(name, "") }

        def child(pair) = Written.new(*(commas == :family_first ? pair.reverse : pair))

        def parts(cell) = cell.split(",").map(&:strip).reject(&:empty?)
      end
    end
  end
end
